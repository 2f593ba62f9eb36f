import type { Seriousness } from '#core/findings/seriousness'

/**
 * The one scale of seriousness in the words of each domain that shows it; inspection shows its codes (C1, C2,
 * C3, FI).
 */
export const SERIOUSNESS_NAME = {
  isolation: { critical: 'critical', fault: 'required', note: 'good practice' },
} as const satisfies Record<string, Readonly<Record<Seriousness, string>>>
