import { expose } from 'comlink'
import { workAtBay } from '~/utils/bay-work'

/** Computes a bay away from the page: what happens, what an instrument shows, what is live. */
const offer = { workAtBay }
export type BayOffer = typeof offer
expose(offer)
