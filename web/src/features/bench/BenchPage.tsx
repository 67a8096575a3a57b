import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { styled } from 'styled-components';
import { SUMS, sumOf, workOut } from '@sounding/core/measure/all.ts';
import { hearSum, type Doubt } from '@sounding/core/measure/hearSum.ts';
import { SumFault, type Entered, type Field, type SumDefinition, type SumResult } from '@sounding/core/measure/sum.ts';
import { unitSays, unitsOf, type Amount, type Dimension, type Unit } from '@sounding/core/quantities/units.ts';
import { Pick } from '../../ui/choice.tsx';
import { Button, Notice, TextField } from '../../ui/controls.tsx';
import { MARK_WORDS } from '../library/parts.tsx';
import { BenchTabs } from './BenchTabs.tsx';
import { Side, Small, View, Work } from './layout.ts';
import { useDropIntoCase } from './useDropIntoCase.ts';

const Line = styled.div`
  input {
    width: 100%;
    font-size: 19px;
    min-height: 44px;
  }
`;
const Fields = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(215px, 1fr));
  gap: 10px 16px;
  align-items: start;
  margin: 12px 0;
  input,
  select {
    width: 100%;
  }
`;
const Both = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.2fr);
  gap: 6px;
`;
const Answer = styled.div`
  border-left: 4px solid ${({ theme }) => theme.brass};
  padding-left: 14px;
  margin: 14px 0;
  .first {
    font-size: 25px;
    font-weight: 600;
    line-height: 1.25;
  }
  .then {
    font-size: 17px;
  }
`;
const GROUPS: Record<SumDefinition['group'], string> = { mixing: 'Mixing', water: 'Water', soil: 'Soil', plants: 'Plants', weather: 'Weather' };

/** Units in the order people reach for them; a hectare last. */
const USUAL: Partial<Record<Dimension, readonly Unit[]>> = {
  length: ['cm', 'm', 'mm', 'in', 'ft'],
  area: ['m2', 'sqft', 'sqyd', 'are', 'acre', 'ha'],
};
const unitsFor = (dimension: Dimension): readonly Unit[] => USUAL[dimension] ?? unitsOf(dimension);

function FieldInput({
  field,
  value,
  fault,
  doubt,
  onChange,
}: {
  field: Field;
  value: Amount | string | undefined;
  fault: string | null;
  doubt: Doubt | undefined;
  onChange: (value: Amount | string) => void;
}) {
  const alert = fault && (
    <Notice $tone="danger" role="alert">
      {fault}
    </Notice>
  );
  if (field.kind === 'choice')
    return (
      <Pick>
        {field.label}
        <select value={typeof value === 'string' ? value : field.start} onChange={(event) => onChange(event.target.value)}>
          {field.options.map(({ id, say }) => (
            <option key={id} value={id}>
              {say}
            </option>
          ))}
        </select>
      </Pick>
    );
  if (field.kind === 'number')
    return (
      <div>
        <TextField
          label={field.unit ? `${field.label}, ${field.unit}` : field.label}
          value={typeof value === 'string' ? value : field.start}
          onChange={onChange}
        />
        {alert}
      </div>
    );
  const amount = typeof value === 'object' ? value : field.start;
  return (
    <div>
      <Both>
        <TextField label={field.label} value={amount.value} onChange={(text) => onChange({ ...amount, value: text })} />
        <Pick>
          unit
          <select value={amount.unit} onChange={(event) => onChange({ ...amount, unit: event.target.value as Unit })}>
            {unitsFor(field.dimension).map((unit) => (
              <option key={unit} value={unit}>
                {unitSays(unit)}
              </option>
            ))}
          </select>
        </Pick>
      </Both>
      {doubt && (
        <Notice role="status">
          “{doubt.heard}”:{' '}
          {doubt.options.map((unit) => (
            <Button key={unit} weight="quiet" onPress={() => onChange({ ...amount, unit })}>
              {unitSays(unit)}?
            </Button>
          ))}
        </Notice>
      )}
      {alert}
    </div>
  );
}

type Worked = { result: SumResult } | { fault: SumFault };

function work(sum: SumDefinition, entered: Entered): Worked {
  try {
    return { result: workOut(sum, entered) };
  } catch (error) {
    if (error instanceof SumFault) return { fault: error };
    throw error;
  }
}

/** The sums of the trade, one line each: typed as they are heard, worked out in sight, dropped into the case. */
export function BenchPage() {
  const [params, setParams] = useSearchParams();
  const [line, setLine] = useState('');
  const [settled, setSettled] = useState<string[]>([]);
  const [byHand, setByHand] = useState<Entered>({});
  const heard = useMemo(() => hearSum(line), [line]);
  const sum = heard?.sum ?? sumOf(params.get('sum') ?? '') ?? SUMS[0]!;
  const entered: Entered = { ...heard?.entered, ...byHand };
  const worked = work(sum, entered);
  const drop = useDropIntoCase();
  const choose = (id: string) => {
    const next = new URLSearchParams(params);
    next.set('sum', id);
    setParams(next, { replace: true });
    setLine('');
    setByHand({});
    setSettled([]);
  };
  const hear = (text: string) => {
    setLine(text);
    // what was set by hand belongs to the line before
    setByHand({});
    setSettled([]);
  };
  return (
    <View>
      <Side aria-label="Sums">
        <BenchTabs />
        {(Object.keys(GROUPS) as SumDefinition['group'][]).map((group) => (
          <div key={group}>
            <h2>{GROUPS[group]}</h2>
            {SUMS.filter((one) => one.group === group).map(({ id, name }) => (
              <Button key={id} weight="quiet" aria-current={id === sum.id} onPress={() => choose(id)}>
                {name}
              </Button>
            ))}
          </div>
        ))}
      </Side>
      <Work>
        <Line>
          <TextField
            autoFocus
            label="Type it as you hear it"
            hint="1200 sq ft at 10 lb per 5000 – 3 tbsp per gallon, 2 gal sprayer – wound 3 by 5 inches on a 5 inch maple"
            value={line}
            onChange={hear}
          />
        </Line>
        {line.trim() !== '' && !heard && <Notice role="status">No sum is heard in that yet; choose one on the left.</Notice>}
        <h1>{sum.name}</h1>
        <p>{sum.asks}</p>
        <Fields>
          {sum.fields.map((field) => (
            <FieldInput
              key={`${sum.id} ${field.id}`}
              field={field}
              value={entered[field.id]}
              fault={'fault' in worked && worked.fault.field === field.id ? worked.fault.message : null}
              doubt={settled.includes(field.id) ? undefined : heard?.doubts.find((d) => d.field === field.id)}
              onChange={(value) => {
                setByHand({ ...byHand, [field.id]: value });
                setSettled([...settled, field.id]);
              }}
            />
          ))}
        </Fields>
        {'result' in worked && (
          <>
            <Answer role="status">
              {worked.result.lines.map((text, i) => (
                <p key={text} className={i === 0 ? 'first' : 'then'}>
                  {text}
                </p>
              ))}
            </Answer>
            <Small>{worked.result.steps.join(' · ')}</Small>
            {worked.result.figures.map(({ what, mark, source }) => (
              <Small key={what}>
                {what} – {MARK_WORDS[mark]}
                {source ? `, ${source}` : ''}
              </Small>
            ))}
            {worked.result.cautions.map((caution) => (
              <p key={caution}>{caution}</p>
            ))}
            {drop.caller !== null && (
              <p>
                <Button
                  weight="act"
                  isDisabled={(heard?.doubts ?? []).some(({ field }) => !settled.includes(field))}
                  onPress={() => drop.put(sum.id, worked.result)}
                >
                  Put it into the case of {drop.caller}
                </Button>{' '}
                <Link to={drop.back}>Back to the plan</Link>
              </p>
            )}
            {drop.said && <Notice role="status">{drop.said}</Notice>}
            {drop.caller !== null && (heard?.doubts ?? []).some(({ field }) => !settled.includes(field)) && (
              <Notice>Say first which unit is meant.</Notice>
            )}
          </>
        )}
      </Work>
    </View>
  );
}
