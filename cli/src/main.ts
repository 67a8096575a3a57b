import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { degreeDaysCommand } from './degreeDaysCommand.ts';
import { evaluateText } from './evaluateCommand.ts';
import { diagnoseText, vocabulary } from './diagnoseCommand.ts';
import { learnText } from './learnCommand.ts';
import { readText, UsageError } from './input.ts';

const USAGE = `usage: sounding diagnose [FILE|-]
       sounding evaluate [FILE|-]
       sounding learn --label COLUMN [--host COLUMN] [--date COLUMN] [--today YYYY-MM-DD] [FILE|-]
       sounding vocabulary
       sounding degree-days --lower C [--upper C] [--method single-sine|…] [--cutoff horizontal|…] [FILE|-]`;

/** The edition is handed in by path, so that the bundle need not know where it lies. */
function loadEdition(): Edition {
  const file = process.env['SOUNDING_EDITION'];
  if (!file) throw new UsageError('SOUNDING_EDITION: path of the compiled edition is not set');
  return JSON.parse(readFileSync(file, 'utf8')) as Edition;
}

function run(argv: string[]): string {
  const [command, ...rest] = argv;
  let parsed;
  try {
    parsed = parseArgs({
      args: rest,
      allowPositionals: true,
      options: {
        lower: { type: 'string' },
        upper: { type: 'string' },
        method: { type: 'string' },
        cutoff: { type: 'string' },
        label: { type: 'string' },
        host: { type: 'string' },
        date: { type: 'string' },
        today: { type: 'string' },
      },
    });
  } catch (error) {
    throw new UsageError((error as Error).message.split('. ')[0] ?? 'bad option');
  }
  const { positionals, values } = parsed;
  if (positionals.length > 1) throw new UsageError(`file: one file at a time, got ${positionals.length}`);
  switch (command) {
    case 'diagnose':
      return diagnoseText(readText(positionals[0]), loadEdition());
    case 'evaluate':
      return evaluateText(readText(positionals[0]), loadEdition());
    case 'learn':
      return learnText(readText(positionals[0]), values, loadEdition());
    case 'vocabulary':
      return vocabulary(loadEdition());
    case 'degree-days':
      return degreeDaysCommand(positionals[0], values);
    default:
      throw new UsageError(
        command === undefined
          ? `command: none given\n${USAGE}`
          : `command: "${command}" is not one of diagnose, evaluate, learn, vocabulary, degree-days`,
      );
  }
}

try {
  process.stdout.write(`${run(process.argv.slice(2))}\n`);
} catch (error) {
  if (!(error instanceof UsageError)) throw error;
  process.stderr.write(`sounding: ${error.message}\n`);
  process.exitCode = 2;
}
