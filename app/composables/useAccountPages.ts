/** What a page may weigh, B: more does not fit one request. */
const MOST_BYTES = 1_700_000

/** Pages in PDF for an account: refused in words before anything is read where they are too large. */
export function useAccountPages() {
  const { call } = useApi()

  function inBase64(file: File): Promise<string> {
    return new Promise((resolve, reject) => {
      const reader = new FileReader()
      reader.onload = () => resolve(String(reader.result).split(',')[1] ?? '')
      reader.onerror = () => reject(reader.error)
      reader.readAsDataURL(file)
    })
  }

  /** The hash under which it is kept. Throws an `ApiProblem` that says what to do. */
  async function keep(file: File): Promise<string> {
    if (file.size > MOST_BYTES)
      throw new ApiProblem(
        413,
        'tooLarge',
        `“${file.name}” has ${(Math.ceil(file.size / 1e5) / 10).toFixed(1)} MB; a page may have ` +
          '1.7 MB. Keep the one page that you used, or take a photograph of it.',
      )
    const pdfBase64 = await inBase64(file)
    const { hash } = await call<{ hash: string }>('POST', 'pages', {
      name: file.name.slice(0, 120),
      pdfBase64,
    })
    return hash
  }
  return { keep }
}
