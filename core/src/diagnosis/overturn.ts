import { UNLISTED } from '../edition/causes.ts';
import { WORDING, type Channel } from '../edition/findings.ts';
import type { DiagnosticModel } from './model.ts';
import { NOT, reliabilityOf } from './posterior.ts';

/** One thing that, if it were seen, would put another cause first. */
export interface Overturning {
  finding: string;
  answer: string;
  /** Who would lead then. */
  cause: string;
  /** How likely it is to be seen, as things stand. */
  chance: number;
}

const SHOWN = 3;
/** No single look puts a cause first that is less likely than this. */
const NEGLIGIBLE = 1e-3;

/** What is not this much likelier under the new leader than under the old overturns nothing: it tips a near tie. */
const TELLING = 2;

/** The likeliest single observations that would take the lead from the first cause; empty when no single one can. */
export function overturnings(model: DiagnosticModel, standing: Float64Array, answered: ReadonlySet<string>, channel: Channel): Overturning[] {
  const live = Int32Array.from(standing.keys()).filter((c) => standing[c]! > NEGLIGIBLE);
  let leader = 0;
  for (const c of live) if ((standing[c] ?? 0) > (standing[leader] ?? 0)) leader = c;
  const found: Overturning[] = [];
  for (const finding of model.findings) {
    if (answered.has(finding.id) || finding.seconds === null) continue;
    const r = reliabilityOf(finding, channel);
    const { placeOf, own, silent, speakers } = finding.table;
    // one for each finding: "black streaks" and "brown patches" tell the same story
    let likeliest: Overturning | null = null;
    for (const [a, answer] of finding.answers.entries()) {
      const noise = (1 - r) * (finding.background[a] ?? 0);
      const row = a * speakers.length;
      let chance = 0;
      const rate = (c: number) => r * (placeOf[c]! < 0 ? silent[a]! : own[row + placeOf[c]!]!) + noise;
      let best = 0;
      let most = -1;
      for (const c of live) {
        const w = standing[c]! * rate(c);
        chance += w;
        if (w > most) [best, most] = [c, w];
      }
      const cause = model.causes[best] ?? UNLISTED;
      const overturns = best !== leader && cause !== UNLISTED && rate(best) >= TELLING * rate(leader);
      if (overturns && chance > (likeliest?.chance ?? -1)) likeliest = { finding: finding.id, answer, cause, chance };
    }
    if (likeliest) found.push(likeliest);
  }
  return found.sort((x, y) => y.chance - x.chance).slice(0, SHOWN);
}

/**
 * Findings on which the reports cannot all be true. Two signs of one finding may both be there, a lawn that lifts and is torn up as well; two states
 * cannot, nor a sign and none.
 * @param absentOf a finding's answer that nothing is there; undefined where its answers are states
 */
export function contradictions(reports: readonly { finding: string; answer: string }[], absentOf: (finding: string) => string | undefined): string[] {
  const told = new Map<string, Set<string>>();
  for (const { finding, answer } of reports) if (finding !== WORDING) told.set(finding, (told.get(finding) ?? new Set()).add(answer));
  return [...told].flatMap(([finding, answers]) => {
    const plain = [...answers].filter((answer) => !answer.startsWith(NOT));
    const absent = absentOf(finding);
    const cannotGoTogether = plain.length > 1 && (absent === undefined || answers.has(absent));
    return cannotGoTogether || plain.some((answer) => answers.has(NOT + answer)) ? [finding] : [];
  });
}
