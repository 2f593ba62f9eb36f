/** Made by the build: what each page needs, by its address. */
declare module '#page-files' {
  export const PAGE_FILES: readonly {
    /** A regular expression of the path, as text. */
    readonly pattern: string
    readonly scripts: readonly string[]
    readonly styles: readonly string[]
  }[]
}
