/** The old record where the new one says the same, so that what is drawn from it is not drawn again. */
export function keep<T extends object>(old: T | undefined, next: T): T {
  if (old === undefined) return next
  const keys = Object.keys(next) as (keyof T)[]
  return keys.length === Object.keys(old).length && keys.every((key) => old[key] === next[key]) ? old : next
}

/**
 * A flat record such as `c1.length`, `c1.name`, `title` by the part before the point; keys without one stand
 * under the empty name. Parts that did not change stay the same objects.
 */
export function partsOf(
  flat: Readonly<Record<string, string>>,
  old: Readonly<Record<string, Record<string, string>>> = {},
): Record<string, Record<string, string>> {
  const parts: Record<string, Record<string, string>> = {}
  for (const [key, text] of Object.entries(flat)) {
    const at = key.indexOf('.')
    const part = (parts[key.slice(0, Math.max(0, at))] ??= {})
    part[key.slice(at + 1)] = text
  }
  for (const [name, part] of Object.entries(parts)) parts[name] = keep(old[name], part)
  return parts
}
