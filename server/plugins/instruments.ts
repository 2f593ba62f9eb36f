import { listenForInstruments } from '../http/stream'

export default defineNitroPlugin(() => listenForInstruments())
