import { createApp, h } from 'vue';
import { createVuetify } from 'vuetify';
import { VApp } from 'vuetify/components/VApp';
import { VTreeview } from 'vuetify/components/VTreeview';
import 'vuetify/styles';

/** The same items in Vuetify's tree view, all unfolded: what Arrange is measured against. */
interface Node {
  readonly id: string;
  readonly title: string;
  readonly children?: readonly Node[];
}

const nodes = (await (await fetch('./items.json')).json()) as Node[];
const ids: string[] = [];
const stack = [...nodes];
for (let node = stack.pop(); node !== undefined; node = stack.pop()) {
  ids.push(node.id);
  stack.push(...(node.children ?? []));
}
const tree = () =>
  h(VApp, () =>
    h(VTreeview, { items: [...nodes], itemValue: 'id', opened: ids, activatable: true, density: 'compact' }),
  );
createApp({ render: tree }).use(createVuetify()).mount('#app');
