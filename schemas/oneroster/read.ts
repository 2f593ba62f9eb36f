import { strFromU8, unzipSync } from 'fflate'
import type { Role } from '#core/exercise/roster'
import { readCsv } from '../csv'

const MOST_BYTES = 20_000_000
const ROLE_OF: Readonly<Record<string, Role>> = {
  student: 'apprentice',
  teacher: 'instructor',
  administrator: 'administrator',
  siteadministrator: 'administrator',
  districtadministrator: 'administrator',
  systemadministrator: 'administrator',
  aide: 'technician',
  proctor: 'verifier',
}

export type OneRosterRead =
  | {
      readonly ok: true
      readonly people: readonly {
        readonly line: number
        readonly number: string
        readonly name: string
        readonly role: string
        readonly cohort: string
      }[]
    }
  | { readonly ok: false; readonly reason: string }

/** The people of a OneRoster package, each with the class that they are enrolled in as a student. */
export function readOneRoster(bytes: Uint8Array): OneRosterRead {
  const files = unzip(bytes)
  if (!files) return { ok: false, reason: 'the package could not be opened, or it is too large' }
  const table = (name: string) => {
    const path = Object.keys(files).find((file) => file === name || file.endsWith(`/${name}`))
    return path ? readCsv(strFromU8(files[path]!)).rows : undefined
  }
  try {
    const users = table('users.csv')
    if (!users) return { ok: false, reason: 'the package has no users.csv' }
    const roles = new Map((table('roles.csv') ?? []).map(({ cells }) => [cells.usersourcedid, cells.role]))
    const classes = new Map((table('classes.csv') ?? []).map(({ cells }) => [cells.sourcedid, cells.title]))
    const cohortOf = new Map(
      (table('enrollments.csv') ?? [])
        .filter(({ cells }) => cells.role?.toLowerCase() === 'student')
        .map(({ cells }) => [cells.usersourcedid, classes.get(cells.classsourcedid ?? '') ?? '']),
    )
    return {
      ok: true,
      people: users
        .filter(
          ({ cells }) =>
            cells.status?.toLowerCase() !== 'tobedeleted' && cells.enableduser?.toLowerCase() !== 'false',
        )
        .map(({ line, cells }) => {
          const role = roles.get(cells.sourcedid) ?? cells.role ?? 'student'
          return {
            line,
            number: cells.identifier || cells.username || '',
            name: [cells.givenname, cells.familyname].filter(Boolean).join(' '),
            role: ROLE_OF[role.toLowerCase()] ?? role,
            cohort: cohortOf.get(cells.sourcedid) ?? '',
          }
        }),
    }
  } catch (error) {
    return { ok: false, reason: `a table of the package cannot be read: ${(error as Error).message}` }
  }
}

function unzip(bytes: Uint8Array): Record<string, Uint8Array> | undefined {
  let size = 0
  try {
    const files = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        size += originalSize
        return size <= MOST_BYTES && name.endsWith('.csv')
      },
    })
    return size > MOST_BYTES ? undefined : files
  } catch {
    return undefined
  }
}
