import '@fontsource-variable/bricolage-grotesque'
import '@fontsource-variable/figtree'
import 'vuetify/styles'
import './ground/tokens.css'
import './ground/page.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './app/App.vue'
import { router } from './app/router'
import { vuetify } from './ground/theme'

createApp(App).use(createPinia()).use(router).use(vuetify).mount('#app')
