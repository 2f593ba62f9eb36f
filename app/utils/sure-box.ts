/* The boxes themselves, fetched when one is first asked for. */

/** The two buttons of a question. */
export interface SureWords {
  readonly yes: string
  readonly no: string
  /** Something is lost that cannot be had back. */
  readonly isGrave?: boolean
}

const buttons = ({ yes, no, isGrave }: SureWords) => ({
  confirmButtonText: yes,
  cancelButtonText: no,
  ...(isGrave ? { type: 'warning' as const } : {}),
})

export const sureBox = (text: string, title: string, words: SureWords): Promise<boolean> =>
  ElMessageBox.confirm(text, title, buttons(words)).then(
    () => true,
    () => false,
  )

export const typedBox = (text: string, title: string, words: SureWords): Promise<string | null> =>
  ElMessageBox.prompt(text, title, buttons(words)).then(
    ({ value }) => value ?? '',
    () => null,
  )
