import type { Channel } from '../edition/findings.ts';
import { chanceOf } from './answerTable.ts';
import type { DiagnosticModel } from './model.ts';
import { normalise, reliabilityOf } from './posterior.ts';

/**
 * Many cases at once through one channel, one report a finding: logarithms are taken once, and a case is a sum of rows.
 * Same posterior as `posterior`, without families and wording.
 */
export class BatchDiagnosis {
  /** Row by row for every answer of every finding, one place a cause. */
  private readonly table: Float64Array;
  /** Where the rows of each finding begin. */
  private readonly first: Int32Array;

  constructor(
    private readonly model: DiagnosticModel,
    channel: Channel,
  ) {
    const { findings, causes } = model;
    this.first = new Int32Array(findings.length);
    let rows = 0;
    findings.forEach((finding, f) => {
      this.first[f] = rows;
      rows += finding.answers.length;
    });
    this.table = new Float64Array(rows * causes.length);
    findings.forEach((finding, f) => {
      const r = reliabilityOf(finding, channel);
      for (let a = 0; a < finding.answers.length; a++) {
        const row = (this.first[f]! + a) * causes.length;
        for (let c = 0; c < causes.length; c++)
          this.table[row + c] = Math.log(r * chanceOf(finding.table, a, c) + (1 - r) * (finding.background[a] ?? 0));
      }
    });
  }

  /** @param answers index of the answer to each finding of the model, -1 where it was not looked at */
  logWeights(answers: ArrayLike<number>): Float64Array {
    const { table, first } = this;
    const log = this.model.logPrior.slice();
    const causes = log.length;
    for (let f = 0; f < first.length; f++) {
      const a = answers[f]!;
      if (!(a >= 0)) continue;
      const row = (first[f]! + a) * causes;
      for (let c = 0; c < causes; c++) log[c] = log[c]! + table[row + c]!;
    }
    return log;
  }

  posterior(answers: ArrayLike<number>): Float64Array {
    return normalise(this.logWeights(answers));
  }
}
