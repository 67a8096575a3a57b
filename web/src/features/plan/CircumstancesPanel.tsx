import { useState } from 'react';
import { styled } from 'styled-components';
import type { CircumstancesBody } from '@sounding/contract/plan.ts';
import { circumstancesBody } from '@sounding/contract/plan.ts';
import type { Standing } from '@sounding/core/consult/consult.ts';
import type { Cause } from '@sounding/core/edition/causes.ts';
import { Choice } from '../../ui/choice.tsx';
import { Notice, TextField } from '../../ui/controls.tsx';

const Pair = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 12px;
  margin-top: 8px;
  input {
    width: 100%;
  }
`;

const YES_NO = [
  { id: 'yes', say: 'yes' },
  { id: 'no', say: 'no' },
] as const;
const asChoice = (value: boolean | null | undefined): 'yes' | 'no' | null => (value === null || value === undefined ? null : value ? 'yes' : 'no');
const fromChoice = (value: 'yes' | 'no' | null): boolean | null => (value === null ? null : value === 'yes');

type Field = 'heightM' | 'costAYear' | 'costToReplace' | 'harvestOn';

interface Props {
  set: CircumstancesBody;
  standing: Standing;
  cause: Cause | null;
  today: string;
  onChange: (change: Partial<CircumstancesBody>) => void;
}

/** What bears on whether and how to act: pressed once, dashed where it was read from what the caller said. */
export function CircumstancesPanel({ set, standing, cause, today, onChange }: Props) {
  const known = standing.circumstances;
  const isRead = (key: keyof CircumstancesBody) => set[key] === undefined || set[key] === null;
  const [faults, setFaults] = useState<Partial<Record<Field | `event-${string}`, string>>>({});
  const put = (field: Field, text: string) => {
    const value = text.trim() === '' ? null : field === 'harvestOn' ? text : Number(text.replace(',', '.'));
    const parsed = circumstancesBody.safeParse({ [field]: value });
    const late = field === 'harvestOn' && typeof value === 'string' && value < today ? 'This day is past.' : null;
    const fault =
      late ?? (parsed.success ? null : Number.isNaN(value) ? `"${text}" is not a number.` : (parsed.error.issues[0]?.message ?? 'cannot be'));
    setFaults({ ...faults, [field]: fault ?? undefined });
    if (!fault) onChange({ [field]: value });
  };
  const events = cause?.windows.filter((window) => window.event && standing.options.some(({ option }) => option.window === window.id)) ?? [];
  const field = (name: Field, label: string, type = 'text') => (
    <div>
      <TextField
        key={String(set[name] ?? '')}
        label={label}
        type={type}
        defaultValue={set[name] === null || set[name] === undefined ? '' : String(set[name])}
        onBlur={(event) => put(name, event.target.value)}
      />
      {faults[name] && (
        <Notice $tone="danger" role="alert">
          {faults[name]}
        </Notice>
      )}
    </div>
  );
  return (
    <section aria-label="What bears on it">
      <h2>What bears on it</h2>
      <Choice
        label="The caller"
        options={[
          { id: 'anything', say: 'will do anything' },
          { id: 'least-toxic', say: 'least toxic' },
          { id: 'no-spray', say: 'no spray' },
          { id: 'wants-gone', say: 'wants it gone' },
        ]}
        value={known.wish}
        onChange={(wish) => onChange({ wish })}
      />
      <Choice
        label="The culprit"
        options={[
          { id: 'present', say: 'still there' },
          { id: 'not-found', say: 'not found' },
          { id: 'gone', say: 'has left' },
        ]}
        value={known.culprit}
        read={isRead('culprit')}
        onChange={(culprit) => onChange({ culprit })}
      />
      <Choice
        label="The damage"
        options={[
          { id: 'going-on', say: 'goes on' },
          { id: 'stopped', say: 'has stopped' },
        ]}
        value={known.damage}
        onChange={(damage) => onChange({ damage })}
      />
      <Choice
        label="The plant is"
        options={[
          { id: 'strong', say: 'strong' },
          { id: 'weak', say: 'weak' },
        ]}
        value={known.plantIs}
        read={isRead('plantIs')}
        onChange={(plantIs) => onChange({ plantIs })}
      />
      <Choice
        label="It comes"
        options={[
          { id: 'first-time', say: 'the first time' },
          { id: 'every-year', say: 'every year' },
        ]}
        value={known.recurs}
        read={isRead('recurs')}
        onChange={(recurs) => onChange({ recurs })}
      />
      <Choice
        label="At stake"
        options={[
          { id: 'looks', say: 'looks' },
          { id: 'crop', say: 'the crop' },
          { id: 'life', say: 'its life' },
        ]}
        value={known.atStake}
        onChange={(atStake) => onChange({ atStake })}
      />
      <Choice
        label="Season left"
        options={[
          { id: 'most', say: 'most of it' },
          { id: 'little', say: 'little' },
        ]}
        value={known.seasonLeft}
        onChange={(seasonLeft) => onChange({ seasonLeft })}
      />
      {(
        [
          ['young', 'Young plant'],
          ['edible', 'Eaten'],
          ['inBloom', 'In flower'],
          ['nearWater', 'Water, slope'],
          ['underGlass', 'Under glass'],
          ['children', 'Children'],
          ['pets', 'Pets'],
        ] as const
      ).map(([key, label]) => (
        <Choice
          key={key}
          label={label}
          options={YES_NO}
          value={asChoice(known[key])}
          read={isRead(key)}
          onChange={(value) => onChange({ [key]: fromChoice(value) })}
        />
      ))}
      <Pair>
        {field('heightM', 'Height, m')}
        {field('harvestOn', 'Next picking', 'date')}
        {field('costAYear', 'Treating costs a year')}
        {field('costToReplace', 'A new plant costs')}
        {events.map((window) => (
          <TextField
            key={window.id}
            label={`${(window.event ?? '').replace(/^(when|from|before|at)( the)? /, '')}: day`}
            type="date"
            value={set.events?.[window.id] ?? ''}
            onChange={(on) => {
              const others = Object.entries(set.events ?? {}).filter(([id]) => id !== window.id);
              onChange({ events: Object.fromEntries(on === '' ? others : [...others, [window.id, on]]) });
            }}
          />
        ))}
      </Pair>
    </section>
  );
}
