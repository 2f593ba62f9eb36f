interface News {
  readonly count: number
  readonly writers: readonly string[]
}

/** Does this news say anything that this tab does not know? Its own writing alone does not. */
export function isNewsTo(tab: string, text: string): boolean {
  try {
    const { writers } = JSON.parse(text) as News
    return !(writers.length === 1 && writers[0] === tab)
  } catch {
    return true
  }
}
