/**
 * Sums over all years, kept up to date in the same transaction as what they sum, by triggers on the connection as the
 * journal's are: they hold after an undoing too.
 */
import type Database from 'better-sqlite3'
import { SANE } from '@/core/fitting/corrections'

/** Adds to or takes from the sums of the position that a fitting was on. */
function change(row: 'NEW' | 'OLD', sign: '+' | '-'): string {
  const wraps = `(${row}.wraps - ${row}.predicted_wraps)`
  const cut = `(${row}.cut_mm - ${row}.predicted_cut_mm)`
  const counts = (off: string, sane: number) => `coalesce(abs(${off}) <= ${sane}, 0)`
  const sum = (off: string, sane: number) => `CASE WHEN ${counts(off, sane)} THEN ${off} ELSE 0 END`
  return `
    INSERT OR IGNORE INTO fitting_sum (position_id) SELECT position_id FROM job WHERE id = ${row}.job_id;
    UPDATE fitting_sum SET
      fittings = fittings ${sign} 1,
      wraps_count = wraps_count ${sign} ${counts(wraps, SANE.wraps)},
      wraps_off = wraps_off ${sign} ${sum(wraps, SANE.wraps)},
      cut_count = cut_count ${sign} ${counts(cut, SANE.cut * 1000)},
      cut_off_mm = cut_off_mm ${sign} ${sum(cut, SANE.cut * 1000)}
    WHERE position_id = (SELECT position_id FROM job WHERE id = ${row}.job_id);`
}

/** A position that no fitting is on has no sums. */
const EMPTY =
  'DELETE FROM fitting_sum WHERE fittings = 0 AND position_id = (SELECT position_id FROM job WHERE id = OLD.job_id);'

/** Lets the sums follow every fitting that is written from now on. */
export function keepSums(db: Database.Database): void {
  db.exec(`
    CREATE TEMP TRIGGER fitting_summed AFTER INSERT ON main.fitting BEGIN ${change('NEW', '+')} END;
    CREATE TEMP TRIGGER fitting_unsummed AFTER DELETE ON main.fitting BEGIN ${change('OLD', '-')} ${EMPTY} END;
    CREATE TEMP TRIGGER fitting_resummed AFTER UPDATE ON main.fitting BEGIN ${change('OLD', '-')} ${change('NEW', '+')} ${EMPTY} END;`)
}
