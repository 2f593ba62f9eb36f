import { devicePlace, type DevicePlace, type DocumentAbout } from '~/utils/device-copy'

/** Makes places of documents of whoever is signed in, such as `work/12/34`; unsent typing is sent from any page. */
export function usePlaces() {
  const { opened } = useOutbox()
  const { id, name } = useSession().person!
  return (key: string, about: Omit<DocumentAbout, 'person'>): DevicePlace =>
    devicePlace(key, { ...about, person: { id, name } }, () => opened(key))
}

/** The place of one document of whoever is signed in. */
export const useDevicePlace = (key: string, about: Omit<DocumentAbout, 'person'>): DevicePlace =>
  usePlaces()(key, about)
