import { useLocalStorage } from '@vueuse/core'

/** The language that somebody wants beside the terms, kept on this device. */
export const useGlossaryLanguage = () => useLocalStorage('nakshi.glossary-language', 'en')
