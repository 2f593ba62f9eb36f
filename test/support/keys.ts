/** What a browser has and a test of keys needs: a window that hears them, elements to type in. */
export class Key extends Event {
  constructor(
    readonly key: string,
    /** Keys held down with it: Shift, Control, Alt, Meta. */
    private readonly held: readonly string[] = [],
    private readonly at: unknown = new FakeElement('BODY'),
  ) {
    super('keydown', { cancelable: true })
  }
  readonly code = ''
  override get target(): EventTarget {
    return this.at as EventTarget
  }
  get ctrlKey(): boolean {
    return this.held.includes('Control')
  }
  get metaKey(): boolean {
    return this.held.includes('Meta')
  }
  getModifierState(name: string): boolean {
    return this.held.includes(name)
  }
}
export class FakeElement {
  constructor(
    readonly tagName: string,
    readonly isContentEditable = false,
  ) {}
}
