import { databaseFile } from '../http/runtime'
import { readyLooks } from '../looks/pool'

/** The thread that makes screens is there before the first one is asked for. */
export default defineNitroPlugin(() => readyLooks(databaseFile()))
