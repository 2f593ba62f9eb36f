/** What stands in the audit, as the trade says it. A code that is not here is shown as it stands. */
const ACTIONS: Readonly<Record<string, string>> = {
  setUp: 'Centre set up',
  signIn: 'Signed in',
  signInRefused: 'Sign-in refused',
  signOut: 'Signed out',
  sessionEnded: 'Session ended by the administrator',
  passwordChanged: 'Password changed',
  passwordReset: 'One-time password given',
  pinChosen: 'PIN chosen',
  signatureRefused: 'Signature refused',
  personDisabled: 'Person disabled',
  personEnabled: 'Person enabled again',
  dataGivenOut: 'A person’s data taken out',
  personErased: 'Person erased',
  rosterImported: 'Roster imported',
  frameworkLoaded: 'Unit framework loaded',
  exerciseCreated: 'Exercise created',
  exerciseSet: 'Exercise set for a group',
  faultPlanted: 'Fault planted',
  permitted: 'Permission to energise given',
  proofRefused: 'Proof refused: PIN, passkey or password',
  sessionLocked: 'Page locked after a while untouched',
  oldRemoved: 'Removed what was kept long enough',
  groupsSet: 'Groups of staff named',
  signInByCollege: 'Signed in through the college',
  passkeyAdded: 'Passkey added',
  passkeyRemoved: 'Passkey removed',
  stopped: 'STOP at a bay',
  stoppedAll: 'STOP at every bay',
  policySet: 'Policy of the centre changed',
  permissionRefused: 'Permission to energise refused',
  permitIssued: 'Permit issued',
  permitReturned: 'Permit handed back',
  lockOn: 'Padlock put on',
  lockOff: 'Padlock taken off',
  isolationDecided: 'Observation of an isolation decided',
  decided: 'Work decided',
  released: 'Marking given back',
  paperSigned: 'Record signed',
  runMeasured: 'Run measured',
  instrumentAdded: 'Instrument added',
  instrumentCalibrated: 'Calibration added',
  instrumentRetired: 'Instrument taken out of use',
  questionSaved: 'Question saved',
  questionsImported: 'Questions taken in from a file',
  glossaryImported: 'Languages of the glossary taken in',
  backedUp: 'Backup made by hand',
  behaviourSeen: 'Behaviour put down',
  behaviourUndone: 'Behaviour taken back',
  accountHandedIn: 'Account of work elsewhere handed in',
  claimAccepted: 'Claim accepted',
  claimRefused: 'Claim refused',
  callAnswered: 'Call from a bay answered',
  claimDiscussed: 'Professional discussion of a claim',
  witnessAsked: 'Witness asked',
  witnessStated: 'Statement of a witness',
  secondMarked: 'Judged a second time',
  secondSettled: 'Difference settled',
  appealed: 'Appeal made',
  appealAnswered: 'Appeal answered',
  archiveGivenOut: 'Archive of a person exported',
}
export const auditWords = (action: string): string => ACTIONS[action] ?? action

/** A browser and a system out of the line that a browser sends; the line itself where neither is known. */
export function deviceWords(agent: string): string {
  const browser = (
    [
      ['Edg/', 'Edge'],
      ['Firefox/', 'Firefox'],
      ['Chrome/', 'Chromium'],
      ['Safari/', 'Safari'],
    ] as const
  ).find(([sign]) => agent.includes(sign))?.[1]
  const system = (
    [
      ['Android', 'Android'],
      ['iPad', 'iPad'],
      ['iPhone', 'iPhone'],
      ['Windows', 'Windows'],
      ['Mac OS', 'macOS'],
      ['Linux', 'Linux'],
    ] as const
  ).find(([sign]) => agent.includes(sign))?.[1]
  return browser || system ? [browser, system].filter(Boolean).join(' on ') : agent || 'unknown'
}
