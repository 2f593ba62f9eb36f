import { workerData } from 'node:worker_threads'
import { openToRead } from '../db/open'
import { createRepos, type Repos } from '../repos'
import { Problem } from '../services/problem'
import { makeLook, type Look } from './looks'
import { packed, type Packed } from './packed'

/** A refusal as it comes through between threads, where a class does not. */
export interface Refused {
  readonly refused: ConstructorParameters<typeof Problem>
}

let repos: Repos | undefined

/** The door of the thread: a screen as it travels, or why there is none. */
export async function run(look: Look): Promise<Packed | Refused> {
  // The data of the server that this thread belongs to; it is there once anybody has asked for anything.
  repos ??= createRepos(openToRead((workerData as { readonly file: string }).file))
  try {
    return await packed(await makeLook({ repos }, look))
  } catch (error) {
    if (!(error instanceof Problem)) throw error
    const { code, fields, extra, message: sentence } = error
    return { refused: [code, { fields, extra, sentence }] }
  }
}
