import { createRenderer, type Component } from 'vue'

interface Node {
  readonly parent: Node | null
}
const nothing = (): Node => ({ parent: null })
/** Draws nowhere: components without a document. */
const { createApp } = createRenderer<Node, Node>({
  createElement: nothing,
  createText: nothing,
  createComment: nothing,
  insert: () => undefined,
  remove: () => undefined,
  setText: () => undefined,
  setElementText: () => undefined,
  patchProp: () => undefined,
  parentNode: () => null,
  nextSibling: () => null,
})

/** Uses a composable in a component that is mounted; what it gives, and leaving the page. */
export function mounted<T>(use: () => T): { readonly used: T; readonly leave: () => void } {
  let used!: T
  const page: Component = {
    setup() {
      used = use()
      return () => null
    },
  }
  const app = createApp(page)
  app.mount(nothing())
  return { used, leave: () => app.unmount() }
}
