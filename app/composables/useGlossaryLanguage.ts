import { useLocalStorage } from '@vueuse/core'

/** The language that somebody wants beside the terms, kept on this device; empty for English alone. */
export const useGlossaryLanguage = () => useLocalStorage('nakshi.glossary-language', '')
