import type { Channel } from '../edition/findings.ts';
import { mapColumns } from './answerTable.ts';
import { shareOfItsOwn } from './families.ts';
import type { DiagnosticModel, ModelFinding } from './model.ts';
import { perTruth, reliabilityOf } from './posterior.ts';
import type { Reading } from '../edition/reading.ts';

/** What has been said of a case so far. */
export interface Told {
  readings: readonly Reading[];
  /** Findings asked about in vain. */
  unanswered: readonly string[];
}

export const NOTHING_TOLD: Told = { readings: [], unanswered: [] };

/** A finding that may still be asked about, as it would speak now. */
export interface OpenFinding {
  finding: ModelFinding;
  /** It has been told through a weaker channel than is to be had: a second look. */
  again: boolean;
}

/** Nobody is asked to look again at what has been told this often. */
const OFTEN_ENOUGH = 2;

/** The finding as it still speaks when kin of it have been answered: likelihood ratios against the background to the power of `own`. */
function tempered(finding: ModelFinding, own: number): ModelFinding {
  const { background } = finding;
  const table = mapColumns(finding.table, (column) => {
    const powered = column.map((chance, a) => {
      const general = background[a] ?? 0;
      return general > 0 ? general * (chance / general) ** own : 0;
    });
    const sum = powered.reduce((total, x) => total + x, 0);
    return powered.map((x) => x / (sum || 1));
  });
  return { ...finding, table };
}

/** Kept so that a finding whose kin were answered is worked out once a model. */
const temperedFindings = new WeakMap<ModelFinding, ModelFinding>();

function besideItsKin(finding: ModelFinding): ModelFinding {
  const known = temperedFindings.get(finding) ?? tempered(finding, shareOfItsOwn(true));
  temperedFindings.set(finding, known);
  return known;
}

/** What is truly there, given what was reported: P(answer | cause, reports) for every cause. */
export function givenReports(finding: ModelFinding, reports: readonly Reading[]): ModelFinding {
  const truths = perTruth(finding, reports);
  const table = mapColumns(finding.table, (column) => {
    const joint = column.map((chance, t) => chance * (truths[t] ?? 0));
    const sum = joint.reduce((total, x) => total + x, 0);
    return sum > 0 ? joint.map((x) => x / sum) : column;
  });
  return { ...finding, table };
}

/** Whether what was told of a finding is worth having looked at again through `channel`. */
const bearsASecondLook = (finding: ModelFinding, reports: readonly Reading[], channel: Channel): boolean =>
  reports.length <= OFTEN_ENOUGH && reports.every((report) => reliabilityOf(finding, report.channel) < reliabilityOf(finding, channel));

/** True where a reading says that something is there. */
function tellsOfSomething(model: DiagnosticModel, { finding, answer }: Reading): boolean {
  const { answers, absent } = model.findings[model.findingIndex.get(finding) ?? -1] ?? {};
  return absent === undefined || answer !== answers?.[absent];
}

/** The findings that can be asked about through `channel`: those not yet told, and those told only through weaker ones. */
export function openFindings(model: DiagnosticModel, channel: Channel, { readings, unanswered }: Told = NOTHING_TOLD): OpenFinding[] {
  const told = new Map<string, Reading[]>();
  for (const reading of readings) told.set(reading.finding, [...(told.get(reading.finding) ?? []), reading]);
  const inVain = new Set(unanswered);
  const families = new Set(model.findings.flatMap((f) => (f.family && (told.has(f.id) || inVain.has(f.id)) ? [f.family] : [])));
  return model.findings.flatMap((finding): OpenFinding[] => {
    if (finding.seconds === null || inVain.has(finding.id)) return [];
    const reports = told.get(finding.id);
    const isInPlace = !finding.after || reports || finding.after.some((id) => told.get(id)?.some((reading) => tellsOfSomething(model, reading)));
    if (!isInPlace) return [];
    if (reports) return bearsASecondLook(finding, reports, channel) ? [{ finding: givenReports(finding, reports), again: true }] : [];
    return [{ finding: finding.family !== undefined && families.has(finding.family) ? besideItsKin(finding) : finding, again: false }];
  });
}
