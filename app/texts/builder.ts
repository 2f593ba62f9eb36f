import type { FormField } from '#core/exercise/form'

export const FIELD_NAME: Readonly<Record<FormField, string>> = {
  code: 'Code', title: 'Title', circuitName: 'Circuit on the chart', scenario: 'Scenario', arrangement: 'Supply', ze: 'Ze', ipf: 'Ipf', use: 'Use',
  premises: 'Premises', location: 'Place', concealed: 'In a wall < 50 mm deep', basis: 'Load given as', power: 'Power', powerFactor: 'Power factor', current: 'Current',
  length: 'Length of run', cable: 'Cable', method: 'Method', ambient: 'Ambient', circuits: 'Circuits together', bunching: 'Arranged', family: 'Device',
  curve: 'Type', residual: 'Residual device', seed: 'Seed', lengthSpread: 'Length ±', loadSpread: 'Load ±', criteria: 'Criteria',
}
export const GOVERNS_WORDS = { area: 'smallest size allowed', capacity: 'current rating', voltDrop: 'voltage drop', loop: 'fault loop' } as const
