import * as heavy from './worker'

/** The door of a thread: the function by its name. */
export const run = ({
  name,
  args,
}: {
  readonly name: keyof typeof heavy
  readonly args: readonly never[]
}): unknown => (heavy[name] as (...given: readonly never[]) => unknown)(...args)
