import { tinykeys } from 'tinykeys'

export interface Shortcut {
  readonly keys: string
  /** Shown on the sheet of keys. */
  readonly label: string
  readonly name: string
  readonly run: () => void
  readonly isOff?: () => boolean
}

const sheet = shallowRef<readonly Shortcut[]>([])

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))

/** Listens to single keys while the page is open, never while somebody types or a dialog is up. */
export function useShortcuts(shortcuts: readonly Shortcut[]) {
  onMounted(() => {
    sheet.value = shortcuts
    const stop = tinykeys(
      window,
      Object.fromEntries(
        shortcuts.map((shortcut) => [
          shortcut.keys,
          (event: KeyboardEvent) => {
            if (
              isTyping(event.target) ||
              document.querySelector('.el-overlay:not([style*="display: none"])') ||
              shortcut.isOff?.()
            )
              return
            event.preventDefault()
            shortcut.run()
          },
        ]),
      ),
    )
    onBeforeUnmount(() => {
      stop()
      sheet.value = []
    })
  })
}

/** The keys of the present page, for the sheet behind `?`. */
export const useShortcutSheet = () => sheet
