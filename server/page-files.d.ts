/** Made by the build: what each page needs, by its address. */
declare module '#page-files' {
  export const PAGE_FILES: readonly import('../scripts/build/page-files').PageFiles[]
}
