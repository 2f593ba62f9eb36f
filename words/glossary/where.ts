/** Where on a job a term matters. */
export const PLACES = [
  'survey',
  'design',
  'wiring',
  'board',
  'isolation',
  'dead',
  'live',
  'fault',
  'paperwork',
  'assessment',
] as const
export type Place = (typeof PLACES)[number]

export const PLACE_SAYS: Readonly<Record<Place, string>> = {
  survey: 'at the intake, before a design begins',
  design: 'when a circuit is designed',
  wiring: 'when conduit, cable and accessories go in',
  board: 'at the board, when devices are chosen and terminated',
  isolation: 'before covers come off',
  dead: 'in dead tests',
  live: 'in live tests, after permission',
  fault: 'when a fault is looked for',
  paperwork: 'on the certificate and the schedules',
  assessment: 'when work is assessed',
}

/** Terms by place; a term may matter at several. */
const TERMS: Readonly<Record<Place, string>> = {
  survey: `avi cut-out distributor earth electrode tt tn-s tn-c-s mass-of-earth intake meter pen pme
    service-cable substation supplier star-point transformer origin generator second-source part-p external-influences
    nominal-voltage ze ipf earthing earthing-conductor main-bonding bonding extraneous met tails ups lost-neutral inverter`,
  design: `eighty-percent additional-protection adiabatic ac ambient ampere ads armoured basic-protection bunched
    breaking-capacity bs-7671 conductorSize core ambientFactor groupingFactor deviceFactor insulationFactor asInstalled
    c1 departure designCurrent deviceRating dc disconnection-time distribution-circuit diversity es edition efficiency
    earthFaultCurrent loop external-influences fault-protection fi final-circuit flat-twin flexible-cord furthest-point
    harmonics hertz ik impedance inrush installation-method intermediate intermittent k-value kilowatt-hour let-through
    level lim load maxZs micc minimumTabulated voltage-drop-per-amp nominal-voltage ohm osg gn3 over-range overcurrent
    overload parallel pelv selv phase power-factor radial ring rated-residual rcdType reference-method resistance
    residual-current selectivity series short-circuit singles single-phase three-phase special-location spur
    startingCurrent tabulated thermal-insulation touch-voltage variant volt voltageDrop watt demand zsFurthest r1r2Cold
    r1r2Hot r1 r2 c2 c3 class-i class-ii class-iii barrier basic-insulation enclosure exposed leakage point`,
  wiring: `accessory bridge-set bush tray cpc clamp conductor conduit coupler distance-saddle double-set draw-point
    draw-tape ferrule fill first-fix flat-twin flexible-cord fused-spur fcu gland grommet insulator inspection-elbow ip
    ipxxb ipxxd knock-out lampholder driver luminaire micc one-way plumb level point pole polarised saddle second-fix set
    sheath singles sleeving socket-outlet springback spur stranded strappers switched-line supplementary-bonding terminal
    termination trunking two-way zone armoured torque line neutral leg plug-fuse`,
  board: `afdd assembly arc blank breaker breaker-type busbar busbar-finger cartridge consumer-unit contactor
    distribution-board double-pole earth-bar enclosure fuse isolator main-switch neutral-bar nuisance phase-sequence
    polarity rcbo rccb rcd rewirable s-type single-pole spd split-load star-point test-button torque triple-pole
    way line-load high-resistance-joint k-value operating-time it`,
  isolation: `avi caution-notice competent dead-test duty-holder eawr energise gs38 hasp hsg85 key-safe live lock-off
    non-contact padlock permit permission plug-in-indicator point-of-work prove-dead proving-unit safe-isolation shock
    socket-tester borrowed-neutral second-source isolator `,
  dead: `continuity cross-connected dead-test insulation-resistance r1 rn r2 r1r2-method long-lead leads nulling megohm
    over-range parallel-path polarity open-circuit mass-of-earth calibration multifunction resistance ohm
    interchanged follow-through limitation lim na parallel`,
  live: `clamp-meter earth-fault electrode functional-test half-test impedance ipf loop-test live-test no-trip
    operating-time phase-sequence rcd ramp reversed-polarity test-button touch-voltage ze zsFurthest maxZs calibration
    multifunction energise permission`,
  fault: `borrowed-neutral earth-fault half-split high-resistance-joint lost-neutral neutral-earth-fault nuisance
    open-circuit shared-neutral short-circuit symptom interchanged reversed-polarity parallel-path intermittent evidence
    polarity`,
  paperwork: `bs-7671 circuit-chart condition-report departure duty-holder installation-record limitation minor-works na
    part-p schedule signature lim c1 c2 c3 fi osg gn3 gs38 edition`,
  assessment: `bay assembly competent criterion evidence follow-through occasion outcome prompt rehearsal schedule variant
    permission limitation level`,
}

const SETS = new Map(PLACES.map((place) => [place, new Set(TERMS[place].split(/\s+/).filter(Boolean))]))

/** Where a term matters, in the order of a job. */
export const placesOf = (key: string): readonly Place[] => PLACES.filter((place) => SETS.get(place)!.has(key))

/** The same as one sentence; empty where no place is named. */
export function whereItMatters(key: string): string {
  const places = placesOf(key).map((place) => PLACE_SAYS[place])
  if (places.length === 0) return ''
  const last = places.at(-1)!
  return `It matters ${places.length === 1 ? last : `${places.slice(0, -1).join('; ')}; and ${last}`}.`
}

/** Every key that is named, for the check that each is a term. */
export const NAMED_TERMS: readonly string[] = PLACES.flatMap((place) => [...SETS.get(place)!])
