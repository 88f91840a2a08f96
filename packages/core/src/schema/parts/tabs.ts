import { definePart } from './definePart.ts';
import { hiddenOn } from './fields.ts';

/** Several views, one at a time. Tabs do not stand in tabs. */
export const tabs = definePart({
  kind: 'tabs',
  name: 'tabs',
  oneOf: 'tabs',
  about: 'several views, one at a time',
  standsIn: ['cell'],
  root: 'panel',
  always: {},
  maybe: { hiddenOn },
  begin: () => [{ kind: 'tabs' }, { kind: 'tab', text: 'First' }, { kind: 'tab', text: 'Second' }],
});
