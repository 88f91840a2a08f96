import '@fontsource-variable/commissioner/wght.css';
import './theme/tokens.css';
import './theme/base.css';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './App.vue';
import { router } from './router.ts';
import { claimSession } from './stores/session.ts';
import { vuetify } from './theme/vuetify.ts';

await claimSession();
createApp(App).use(createPinia()).use(router).use(vuetify).mount('#app');
