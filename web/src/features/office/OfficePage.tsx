import { useState } from 'react';
import { styled } from 'styled-components';
import { COORDINATOR } from '@sounding/contract/api.ts';
import { lossTableBody } from '@sounding/contract/settings.ts';
import { DEFAULT_LOSSES } from '@sounding/core/diagnosis/stakes.ts';
import { TRUTHS, type LossTable, type Truth } from '@sounding/core/edition/losses.ts';
import { ACTS, type Act } from '@sounding/core/edition/options.ts';
import { sayDay, sayTime } from '../../app/dates.ts';
import { useDesk } from '../../app/routes.tsx';
import {
  problemText,
  useMailsQuery,
  usePlaceDeskMutation,
  useSettingsQuery,
  useWriteHouseLinesMutation,
  useWriteLossesMutation,
} from '../../store/api.ts';
import { Button, Notice } from '../../ui/controls.tsx';
import { ACT_WORDS } from '../case/words.ts';
import { Aside, Lines, Sheet, useLibrary } from '../library/parts.tsx';
import { DeskPlace } from './DeskPlace.tsx';

const Lines_ = styled.div`
  display: grid;
  gap: 10px;
  fieldset {
    border: 0;
    border-bottom: 1px solid ${({ theme }) => theme.rule};
    margin: 0;
    padding: 0 0 8px;
  }
  legend {
    font-weight: 600;
    padding: 0;
  }
  label {
    display: block;
    padding: 2px 0;
  }
  small {
    color: ${({ theme }) => theme.inkSoft};
  }
`;
const Table = styled.table`
  border-collapse: collapse;
  font-size: 14px;
  th {
    font-weight: 400;
    text-align: left;
    color: ${({ theme }) => theme.inkSoft};
    padding: 3px 8px 3px 0;
  }
  td {
    padding: 2px 4px 2px 0;
  }
  input {
    width: 58px;
    min-height: 30px;
    padding: 2px 6px;
    text-align: right;
    background: ${({ theme }) => theme.sheet};
    border: 1px solid ${({ theme }) => theme.rule};
    border-radius: 3px;
  }
  input[aria-invalid='true'] {
    border: 2px solid ${({ theme }) => theme.chalk};
  }
`;
const Row = styled.div`
  display: flex;
  gap: 12px;
  align-items: center;
  margin: 10px 0;
`;

const STEP_WORDS = { losses: 'the table', 'house-lines': 'lines of the house', place: 'where the desk is' } as const;
const TRUTH_WORDS: Record<Truth, string> = {
  ...Object.fromEntries(ACTS.map((act) => [act, ACT_WORDS[act].toLowerCase()])),
  notifiable: 'report it',
  unlisted: 'not listed',
} as Record<Truth, string>;

/** What it costs to advise one thing where another was right: the table questions and "enough" are weighed by. */
function Losses({
  table,
  may,
  shipped,
  onSave,
  onBack,
}: {
  table: LossTable;
  may: boolean;
  shipped: boolean;
  onSave: (table: LossTable) => void;
  onBack: () => void;
}) {
  const [draft, setDraft] = useState<Record<string, string>>({});
  const value = (given: Act, right: Truth) => draft[`${given} ${right}`] ?? String(table.advice[given][right]);
  const number = (text: string) => (text.trim() === '' ? NaN : Number(text.replace(',', '.')));
  const next: LossTable = {
    wrongName: number(draft['wrongName'] ?? String(table.wrongName)),
    advice: Object.fromEntries(
      ACTS.map((given) => [given, Object.fromEntries(TRUTHS.map((right) => [right, number(value(given, right))]))]),
    ) as LossTable['advice'],
  };
  const parsed = lossTableBody.safeParse(next);
  const wrong = new Set(parsed.success ? [] : parsed.error.issues.map((issue) => issue.path.slice(1).join(' ') || 'wrongName'));
  return (
    <>
      <Aside>
        Points of harm, 0 to 100. Rows: what is advised; columns: what would have been right. Questions are chosen, and “enough” is said, by what they
        save of it.
      </Aside>
      <Table>
        <thead>
          <tr>
            <th />
            {TRUTHS.map((right) => (
              <th key={right}>{TRUTH_WORDS[right]}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {ACTS.map((given) => (
            <tr key={given}>
              <th scope="row">{ACT_WORDS[given]}</th>
              {TRUTHS.map((right) => (
                <td key={right}>
                  <input
                    aria-label={`${ACT_WORDS[given]} where ${TRUTH_WORDS[right]} was right`}
                    aria-invalid={wrong.has(`${given} ${right}`)}
                    value={value(given, right)}
                    disabled={!may}
                    onChange={(event) => setDraft({ ...draft, [`${given} ${right}`]: event.target.value })}
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </Table>
      <Row>
        <label>
          A wrong name by itself{' '}
          <Table as="span">
            <input
              aria-label="A wrong name by itself"
              aria-invalid={wrong.has('wrongName')}
              value={draft['wrongName'] ?? String(table.wrongName)}
              disabled={!may}
              onChange={(event) => setDraft({ ...draft, wrongName: event.target.value })}
            />
          </Table>
        </label>
        {may && (
          <Button isDisabled={!parsed.success || Object.keys(draft).length === 0} onPress={() => parsed.success && onSave(parsed.data)}>
            Save the table
          </Button>
        )}
        {may && !shipped && <Button onPress={onBack}>Back to the table that ships</Button>}
      </Row>
      {wrong.size > 0 && (
        <Notice $tone="danger" role="alert">
          {wrong.size} of the figures {wrong.size === 1 ? 'is' : 'are'} no number from 0 to 100.
        </Notice>
      )}
    </>
  );
}

/** What the coordinator sets for the whole desk: where it is, its lines where the trade disagrees, what wrong advice costs; and what has been sent. */
export function OfficePage() {
  const session = useDesk();
  const { edition, waiting } = useLibrary();
  const { data: settings, error } = useSettingsQuery();
  const { data: mails } = useMailsQuery();
  const [writeLines, lining] = useWriteHouseLinesMutation();
  const [writeLosses, losing] = useWriteLossesMutation();
  const [placeDesk, placing] = usePlaceDeskMutation();
  const [chosen, setChosen] = useState<Record<string, number> | null>(null);
  const may = session.person.role === COORDINATOR;
  if (!edition || (!settings && !error)) return <Sheet>{waiting}</Sheet>;
  const problem = error ?? lining.error ?? losing.error ?? placing.error;
  const lines = chosen ?? settings?.houseLines ?? {};
  const setLine = (school: string, view: number | null) => {
    const others = Object.fromEntries(Object.entries(lines).filter(([id]) => id !== school));
    const next = view === null ? others : { ...others, [school]: view };
    // shown at once; what the server refuses is taken back
    setChosen(next);
    void writeLines(next).then((done) => 'error' in done && setChosen(null));
  };
  return (
    <Sheet>
      <h1>Office</h1>
      {!may && <Notice>Only the coordinator changes what stands here.</Notice>}
      {problem !== undefined && (
        <Notice $tone="danger" role="alert">
          {problemText(problem)}
        </Notice>
      )}
      <DeskPlace
        key={JSON.stringify(session.desk)}
        desk={session.desk}
        stations={session.stations}
        may={may}
        onSave={(place) => void placeDesk(place)}
      />
      <h2>Lines of the house</h2>
      <Aside>Where the trade disagrees, the desk may follow one view; the others stay in sight, marked, and a caller may ask for them.</Aside>
      <Lines_>
        {edition.schools.map((school) => (
          <fieldset key={school.id} disabled={!may}>
            <legend>{school.question}</legend>
            <label>
              <input type="radio" name={school.id} checked={lines[school.id] === undefined} onChange={() => setLine(school.id, null)} /> no line:{' '}
              {school.ours}
            </label>
            {school.views.map((view, i) => (
              <label key={view.say}>
                <input type="radio" name={school.id} checked={lines[school.id] === i} onChange={() => setLine(school.id, i)} /> {view.say}{' '}
                <small>– {view.because}</small>
              </label>
            ))}
          </fieldset>
        ))}
      </Lines_>
      <h2>What wrong advice costs</h2>
      <Losses
        key={JSON.stringify(settings?.losses)}
        table={settings?.losses ?? DEFAULT_LOSSES}
        may={may}
        shipped={settings?.losses === null}
        onSave={(table) => void writeLosses(table)}
        onBack={() => void writeLosses(null)}
      />
      {(settings?.history ?? []).slice(0, 6).map((step) => (
        <Aside key={step.at}>
          {sayDay(step.at)}, {sayTime(step.at)}: {STEP_WORDS[step.what]}, {step.by}
        </Aside>
      ))}
      <h2>Letters sent</h2>
      <Lines>
        {(mails ?? []).map((mail) => (
          <li key={mail.id}>
            {mail.subject}, to {mail.to}{' '}
            <small>
              {sayDay(mail.at)}, {mail.by}, {Math.round(mail.bytes / 1024)} kB
            </small>{' '}
            <a href={`/api/outbox/${mail.id}.eml`}>Letter</a>
          </li>
        ))}
      </Lines>
      {mails?.length === 0 && <Notice>Nothing has been sent. The outbox is a stand-in: letters are kept here and leave nowhere.</Notice>}
    </Sheet>
  );
}
