export interface GlossaryView {
  readonly languages: readonly { readonly code: string; readonly name: string; readonly isChecked: boolean }[]
  /** Words of the chosen language by the key of the term. */
  readonly texts: Readonly<Record<string, string>>
}
