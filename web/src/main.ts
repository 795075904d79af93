import '@fontsource/ibm-plex-sans/400.css'
import '@fontsource/ibm-plex-sans/500.css'
import '@fontsource/ibm-plex-sans/600.css'
import '@fontsource-variable/bricolage-grotesque/index.css'
import './app/style.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './app/App.vue'
import { createAppRouter } from './app/router'
import { createServices } from './services/create-services'
import { servicesKey } from './services/services'

createApp(App).provide(servicesKey, createServices()).use(createPinia()).use(createAppRouter()).mount('#app')
