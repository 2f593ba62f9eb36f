interface TableActs {
  /** Up or down in the same column. */
  readonly move: (id: string, field: string, by: number) => void
  /** A new row after this one. */
  readonly addAfter: (id: string) => void
  readonly duplicate: (id: string) => void
  readonly remove: (id: string) => void
  readonly undo: () => void
}

type Acts = Readonly<Record<string, () => void>>

/** A table of boxes by keyboard; each box says where it is in `data-cell`, `row.field`. */
export function useTableKeys(isLocked: () => boolean, acts: TableActs) {
  const plain = (id: string, field: string): Acts => ({
    ArrowDown: () => acts.move(id, field, 1),
    ArrowUp: () => acts.move(id, field, -1),
    Enter: () => acts.move(id, field, 1),
  })
  const withCtrl = (id: string, field: string): Acts => ({
    ...plain(id, field),
    Enter: () => acts.addAfter(id),
    d: () => acts.duplicate(id),
    z: acts.undo,
  })
  function actOf({ target, key, ctrlKey, metaKey, shiftKey }: KeyboardEvent): (() => void) | undefined {
    const [id, field] = ((target as HTMLElement).dataset.cell ?? '').split('.')
    if (!id || !field) return undefined
    const isCtrl = ctrlKey || metaKey
    if (isCtrl && shiftKey && key === 'Backspace') return () => acts.remove(id)
    if (isCtrl) return withCtrl(id, field)[key]
    return target instanceof HTMLInputElement ? plain(id, field)[key] : undefined
  }
  return (event: KeyboardEvent): void => {
    const act = isLocked() ? undefined : actOf(event)
    if (!act) return
    event.preventDefault()
    act()
  }
}
