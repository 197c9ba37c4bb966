import { defineNuxtPlugin } from '#imports'
import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'

/** Behaviour is Vuetify's; ground, ink and shapes are ours. */
export default defineNuxtPlugin((nuxt) => {
  nuxt.vueApp.use(
    createVuetify({
      icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
      theme: {
        cspNonce: document.querySelector<HTMLMetaElement>('meta[name="style-nonce"]')?.content ?? '',
        defaultTheme: 'day',
        themes: {
          day: {
            dark: false,
            colors: {
              'background': '#F7F2E8',
              'surface': '#FFFDF7',
              'on-background': '#2A2320',
              'on-surface': '#2A2320',
              'primary': '#6B4E8A',
              'secondary': '#2E6C72',
              'success': '#4F6B3A',
              'error': '#A63D17',
              'warning': '#7A5A0B',
              'info': '#2E6C72',
            },
          },
          night: {
            dark: true,
            colors: {
              'background': '#1B1714',
              'surface': '#26201C',
              'on-background': '#F3EADB',
              'on-surface': '#F3EADB',
              'primary': '#C3A6E0',
              'secondary': '#84C3C8',
              'success': '#A5C486',
              'error': '#F08C5E',
              'warning': '#E5BC5A',
              'info': '#84C3C8',
            },
          },
        },
      },
      // Those of style/widths.css, each the first width that is not of its kind any more.
      display: { thresholds: { xs: 0, sm: 621, md: 761, lg: 961, xl: 1920, xxl: 2560 } },
      defaults: {
        VBtn: { variant: 'flat', rounded: 'sm', ripple: false },
        VTextField: { variant: 'filled', hideDetails: 'auto', color: 'primary' },
        VSelect: { variant: 'filled', hideDetails: 'auto', color: 'primary' },
        VCombobox: { variant: 'filled', hideDetails: 'auto', color: 'primary' },
        VTextarea: { variant: 'filled', hideDetails: 'auto', color: 'primary', rows: 2, autoGrow: true },
        VDialog: { maxWidth: 520 },
      },
    }),
  )
})
