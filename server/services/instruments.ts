import type { InstrumentBody, CalibrationBody } from '#schemas/schedule-requests'
import type { InstrumentView } from '#schemas/schedule-views'
import type { Person } from '../repos/people'
import { allow, found } from './access'
import type { Context } from './context'
import { Problem } from './problem'

/** The register of test instruments, with the day until which each calibration holds. */
export function listInstruments({ repos }: Context, actor: Person): readonly InstrumentView[] {
  allow(actor, 'instruments.see')
  return repos.instruments.all()
}

/** Adds an instrument with its first calibration. */
export function addInstrument(
  { repos, now }: Context,
  actor: Person,
  { name, serial, kind, ...calibration }: InstrumentBody,
): readonly InstrumentView[] {
  allow(actor, 'instruments.keep')
  refuseDates(calibration)
  return repos.transaction(() => {
    if (repos.instruments.byName(name))
      throw new Problem('instrumentKnown', { fields: [{ field: 'name', message: 'is in the register.' }] })
    // What was measured with it names it: another one of the same name would be taken for it.
    if (repos.instruments.isKnown(name))
      throw new Problem('instrumentRetired', {
        fields: [{ field: 'name', message: 'was taken out of use.' }],
      })
    repos.instruments.calibrate(
      repos.instruments.insert(name.trim(), serial.trim(), kind),
      calibration,
      actor.id,
      now,
    )
    repos.audit.add(now, actor.id, 'instrumentAdded', name.trim())
    return repos.instruments.all()
  })
}

/** Adds a newer calibration. */
export function calibrate(
  { repos, now }: Context,
  actor: Person,
  id: number,
  calibration: CalibrationBody,
): readonly InstrumentView[] {
  allow(actor, 'instruments.keep')
  refuseDates(calibration)
  return repos.transaction(() => {
    const { name } = found(repos.instruments.all().find((instrument) => instrument.id === id))
    repos.instruments.calibrate(id, calibration, actor.id, now)
    repos.audit.add(now, actor.id, 'instrumentCalibrated', name)
    return repos.instruments.all()
  })
}

/** Takes an instrument out of the register; what was measured with it stays. */
export function retireInstrument(
  { repos, now }: Context,
  actor: Person,
  id: number,
): readonly InstrumentView[] {
  allow(actor, 'instruments.keep')
  return repos.transaction(() => {
    const { name } = found(repos.instruments.all().find((instrument) => instrument.id === id))
    repos.instruments.retire(id)
    repos.audit.add(now, actor.id, 'instrumentRetired', name)
    return repos.instruments.all()
  })
}

function refuseDates({ doneOn, dueOn }: CalibrationBody): void {
  if (dueOn <= doneOn)
    throw new Problem('calibrationDates', {
      fields: [{ field: 'dueOn', message: 'lies before the calibration.' }],
    })
}
