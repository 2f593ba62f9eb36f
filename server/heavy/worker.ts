import { previewPlant } from '#core/testing/fault-finding/preview'
import { whatIfQuestions } from '#words/questions/job/index'

/* What takes longer than the server may be away from everybody else. Runs in a thread of its own; the same functions run in place where there is none. */
export { previewPlant, whatIfQuestions }
