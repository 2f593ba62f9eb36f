import { workerData } from 'node:worker_threads'
import { asOfOneMoment } from '../db/moment'
import { openToRead } from '../db/open'
import { createRepos } from '../repos'
import { Problem } from '../services/problem'
import { makeLook, type Look } from './looks'
import { packed, type Packed } from './packed'

/** A refusal as it comes through between threads, where a class does not. */
export interface Refused {
  readonly refused: ConstructorParameters<typeof Problem>
}

/** What the pool hands to its thread. */
export interface ThreadData {
  /** Of the server that this thread belongs to: the database, there once anybody has asked for anything. */
  readonly file: string
  /** The program itself: what heavy work needs lies beside it. */
  readonly program: string
}
const { file, program } = workerData as ThreadData
process.argv[1] = program

function openData() {
  const db = openToRead(file)
  return { db, repos: createRepos(db) }
}
let data: ReturnType<typeof openData> | undefined

/** The door of the thread: a screen as it travels, or why there is none. */
export async function run(look: Look): Promise<Packed | Refused> {
  const { db, repos } = (data ??= openData())
  try {
    return await packed(await asOfOneMoment(db, () => makeLook({ repos }, look)))
  } catch (error) {
    if (!(error instanceof Problem)) throw error
    const { code, fields, extra, message: sentence } = error
    return { refused: [code, { fields, extra, sentence }] }
  }
}
