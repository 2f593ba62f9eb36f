import type { SureWords } from './sure-box'

/** Asks before something is done; false where somebody thinks better of it. */
export const isSure = async (text: string, title: string, words: SureWords): Promise<boolean> =>
  (await import('./sure-box')).sureBox(text, title, words)

/** Asks for something to be typed before it is done; null where somebody thinks better of it. */
export const typedToBeSure = async (text: string, title: string, words: SureWords): Promise<string | null> =>
  (await import('./sure-box')).typedBox(text, title, words)
