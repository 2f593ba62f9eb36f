/** Refusals about who somebody is: proofs, passkeys, the college's sign-in. */
export const PROOF_PROBLEMS = {
  proofNeeded: { status: 403, sentence: 'Say once more that it is you: PIN, passkey or password.' },
  proofWrong: {
    status: 403,
    sentence: 'That does not fit. Try your PIN, your passkey or your password again.',
  },
  sessionLocked: {
    status: 423,
    sentence: 'This page is locked. Open it with your PIN, passkey or password.',
  },
  passkeyWrong: { status: 400, sentence: 'The passkey could not be checked. Try again, or use another one.' },
  passkeyMissing: { status: 404, sentence: 'You have no passkey yet. Use your PIN or password.' },
  collegeUnreachable: {
    status: 502,
    sentence: 'The college’s sign-in cannot be reached. Use number and password.',
  },
  collegeRefused: { status: 403, sentence: 'The college’s sign-in did not succeed. Try again.' },
  collegeUnknown: { status: 403, sentence: 'Nobody here has that number. Ask the administrator.' },
  passkeysFull: { status: 409, sentence: 'Ten passkeys are kept. Remove one that you no longer use first.' },
} as const
