/** Where this device keeps the scripts of staff pages, for a page at a bay that is reloaded without a network. */
export const STAFF_CACHE = 'nakshi-staff'

/** Gone with whoever of the staff was signed in: these scripts compute answers. */
export const forgetStaffScripts = (): void => {
  if ('caches' in globalThis) void caches.delete(STAFF_CACHE).catch(() => undefined)
}
