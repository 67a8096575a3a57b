import type { Channel } from '../edition/edition.ts';
import { chanceOf } from './answerTable.ts';
import type { DiagnosticModel } from './model.ts';
import { normalise, reliabilityOf } from './posterior.ts';

/**
 * Many cases at once through one channel, one report a finding: logarithms are taken once, and a case is a sum of rows.
 * Same posterior as `posterior`, without families and wording.
 */
export class BatchDiagnosis {
  private readonly rows: Float64Array[][];

  constructor(
    private readonly model: DiagnosticModel,
    channel: Channel,
  ) {
    this.rows = model.findings.map((finding) => {
      const r = reliabilityOf(finding, channel);
      return finding.answers.map((_, a) =>
        Float64Array.from(model.causes, (__, c) => Math.log(r * chanceOf(finding.table, a, c) + (1 - r) * (finding.background[a] ?? 0))),
      );
    });
  }

  /** @param answers index of the answer to each finding of the model, -1 where it was not looked at */
  logWeights(answers: ArrayLike<number>): Float64Array {
    const log = Float64Array.from(this.model.logPrior);
    for (let f = 0; f < this.rows.length; f++) {
      const a = answers[f] ?? -1;
      if (a < 0) continue;
      const row = this.rows[f]![a]!;
      for (let c = 0; c < log.length; c++) log[c]! += row[c]!;
    }
    return log;
  }

  posterior(answers: ArrayLike<number>): Float64Array {
    return normalise(this.logWeights(answers));
  }
}
