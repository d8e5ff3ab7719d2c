import { VueQueryPlugin } from '@tanstack/vue-query'
import { createApp } from 'vue'
import App from './App.vue'
import { queryClient } from './api/queries'
import { keepPage } from './device/page'
import { router } from './router'
import { applyTheme } from './shared/useTheme'
import './style/app.css'

applyTheme()
createApp(App).use(router).use(VueQueryPlugin, { queryClient }).mount('#app')
keepPage()
