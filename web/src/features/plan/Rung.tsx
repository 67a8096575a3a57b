import type { TreatmentOption } from '@sounding/core/edition/options.ts';
import type { School } from '@sounding/core/edition/provenance.ts';
import { isWorkable } from '@sounding/core/season/windows.ts';
import type { Verdict } from '@sounding/core/treatment/verdicts.ts';
import { Button } from '../../ui/controls.tsx';
import { ACT_WORDS, burdenText, timingText } from '../case/words.ts';
import { MARK_WORDS } from '../library/parts.tsx';

/** The sides of a disputed question with their reasons, and ours. */
function Disputed({ school }: { school: School }) {
  return (
    <div className="school">
      {school.question}{' '}
      {school.views.map((view) => (
        <span key={view.say}>
          <i>{view.say}</i> – {view.because}.{' '}
        </span>
      ))}
      We say: {school.ours}
    </div>
  );
}

/** How it is done, what not to do, and what to mind. */
function Particulars({ option, mind, school }: { option: TreatmentOption; mind: readonly string[]; school: School | undefined }) {
  return (
    <>
      <p>{option.how}</p>
      {option.repeat && <p>Repeat {option.repeat}.</p>}
      {option.not.length > 0 && <p>Not {option.not.join('; ')}.</p>}
      {mind.map((one) => (
        <small key={one}>Mind: {one}.</small>
      ))}
      {option.cautions.length > 0 && <small>Take care: {option.cautions.join(' ')}</small>}
      {school && <Disputed school={school} />}
    </>
  );
}

interface Props {
  verdict: Verdict;
  /** Whether it is what has been decided. */
  taken: boolean;
  school: School | undefined;
  onInstead: () => void;
}

/** One rung of the ladder: the one taken in full, the others to be opened. */
export function Rung({ verdict: { option, timing, against, mind }, taken, school, onInstead }: Props) {
  return (
    <li className={against.length > 0 ? 'no' : ''}>
      <div>
        {taken ? <b>{option.title}</b> : option.title}
        <small>
          {ACT_WORDS[option.act].toLowerCase()}; {option.effect} effect; {burdenText(option)}; {MARK_WORDS[option.mark]}
          {option.actives ? `; ${option.actives.join(', ')}` : ''}
        </small>
        {against.map((reason) => (
          <p key={reason} className="against">
            × {reason}
          </p>
        ))}
        {taken ? (
          <Particulars option={option} mind={mind} school={school} />
        ) : (
          <details>
            <summary>How{school ? ', and why the trade disagrees' : ''}</summary>
            <Particulars option={option} mind={mind} school={school} />
          </details>
        )}
      </div>
      <span>
        {isWorkable(timing.state) ? <b>{timingText(timing)}</b> : timingText(timing)}
        {timing.state !== 'any-time' && timing.state !== 'unknown' && (
          <small>
            {timing.basis}, {MARK_WORDS[timing.mark]}
          </small>
        )}
      </span>
      <span>
        {!taken && (
          <Button weight="quiet" onPress={onInstead}>
            Rather this
          </Button>
        )}
      </span>
    </li>
  );
}
