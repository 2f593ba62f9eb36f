import { useLocalStorage } from '@vueuse/core'

/** The group that is looked at, kept on this device: everybody has a group of their own. Empty: none chosen yet. */
export const useLastGroup = () => useLocalStorage('nakshi.group', '')
