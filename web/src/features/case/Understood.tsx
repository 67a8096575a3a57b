import { styled } from 'styled-components';
import { readingText } from '@sounding/core/consult/words.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import type { Heard } from '../../engine/engine.worker.ts';

const Preview = styled.p`
  min-height: 22px;
  font-size: 14.5px;
  color: ${({ theme }) => theme.deepSoft};
  line-height: 1.3;
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  overflow: hidden;
  b {
    color: ${({ theme }) => theme.deepInk};
    font-weight: 600;
  }
  button {
    font: inherit;
    border: 0;
    padding: 0 0 0 6px;
    background: none;
    color: inherit;
    text-decoration: underline;
    cursor: pointer;
  }
  .open {
    text-decoration: underline wavy;
    text-underline-offset: 3px;
  }
`;

interface Props {
  heard: Heard | null;
  edition: Edition;
  /** Takes another sense of the words for the one read first. */
  onSense: (finding: string, answer: string) => void;
}

/** What has been read from the line while it is typed; another sense of the same words is one press away. */
export function Understood({ heard, edition, onSense }: Props) {
  if (!heard) return <Preview>&nbsp;</Preview>;
  const parts = heard.readings.map((r) => (
    <span key={r.finding}>
      {' · '}
      {readingText(edition, r.finding, r.answer)}
      {r.channel === 'caller-unsure' ? ' (not sure)' : ''}
      {r.choices.map((answer) => (
        <button key={answer} type="button" onMouseDown={(event) => event.preventDefault()} onClick={() => onSense(r.finding, answer)}>
          or {readingText(edition, r.finding, answer).replace(/^.*?: /, '')}
        </button>
      ))}
    </span>
  ));
  // a name whose words were read as something seen as well stands there already
  const guesses = heard.claims.map(({ from }) => from).filter((name) => !heard.readings.some(({ from }) => from.includes(name)));
  const doubts = heard.measurements.flatMap((m) => m.doubt ?? []);
  return (
    <Preview role="status">
      {doubts.length > 0 && <b>{doubts.join(' ')} </b>}
      {heard.host && <b>{heard.host.name}</b>}
      {parts}
      {guesses.length > 0 && ` · a guess, no evidence: ${guesses.join(', ')}`}
      {heard.care.length > 0 && ' · a question of care'}
      {heard.notUnderstood.length > 0 && (
        <>
          {' '}
          · only weighed as wording: <span className="open">{heard.notUnderstood.join(', ')}</span>
        </>
      )}
    </Preview>
  );
}
