import { useState } from 'react';
import { styled } from 'styled-components';
import { labelBody } from '@sounding/contract/labels.ts';
import { UNIT_IDS, unitSays, type Amount, type Unit } from '@sounding/core/quantities/units.ts';
import { RATE_PER, SIGNAL_WORDS, type Label, type LabelUse, type SignalScheme } from '@sounding/core/treatment/label.ts';
import { Pick } from '../../ui/choice.tsx';
import { Button, Notice, TextField } from '../../ui/controls.tsx';

const Grid = styled.div`
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 8px 14px;
  align-items: end;
  input,
  select {
    width: 100%;
  }
  .wide {
    grid-column: span 2;
  }
  .line {
    grid-column: 1 / -1;
  }
  @media (max-width: 900px) {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
`;
const Both = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 6px;
`;
const Use = styled.fieldset`
  border: 0;
  border-top: 1px solid ${({ theme }) => theme.rule};
  margin: 14px 0 0;
  padding: 8px 0 0;
  legend {
    padding-right: 10px;
    font:
      600 18px/1.2 'Alegreya',
      serif;
  }
`;
const Check = styled.label`
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 34px;
  input {
    width: auto;
  }
`;

export const NEW_USE: LabelUse = {
  id: 'use',
  line: '',
  method: 'spray',
  crops: ['*'],
  pests: [],
  rate: { value: '', unit: 'ml' },
  per: 'volume',
  of: { value: '1', unit: 'l' },
  leastShare: null,
  carrier: null,
  mostPerUse: null,
  mostPerYear: null,
  mostUses: 1,
  intervalDays: 14,
  reentryHours: 0,
  preHarvestDays: null,
  season: null,
};
export const NEW_LABEL: Label = {
  id: '',
  name: '',
  registration: '',
  actives: [{ name: '', concentration: '', group: 'not grouped' }],
  formulation: '',
  signalWord: { scheme: 'GHS', word: 'none' },
  restricted: false,
  homeUse: true,
  jurisdictions: ['*'],
  validFrom: '',
  validUntil: null,
  gear: [],
  packs: [],
  limits: { fromC: null, belowC: null, mostWindMs: null, rainFreeHours: null, bees: false, waterDistanceM: null },
  uses: [NEW_USE],
};

const slug = (name: string) =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
const list = (text: string) =>
  text
    .split(',')
    .map((part) => part.trim())
    .filter(Boolean);
const number = (text: string): number | null => (text.trim() === '' ? null : Number(text.replace(',', '.')));
const OF_UNIT: Record<LabelUse['per'], Amount | null> = {
  volume: { value: '1', unit: 'l' },
  area: { value: '10', unit: 'm2' },
  plant: null,
  'trunk-diameter': { value: '1', unit: 'cm' },
  'trunk-girth': { value: '1', unit: 'cm' },
  'pot-volume': { value: '1', unit: 'l' },
};

interface Props {
  label: Label;
  known: boolean;
  refused: string | null;
  onSave: (label: Label, note: string) => void;
  onCancel: () => void;
}

/** A product's label as a form; what is wrong is said beside the field, and nothing typed is lost. */
export function LabelForm({ label: start, known, refused, onSave, onCancel }: Props) {
  const [label, setLabel] = useState<Label>(start);
  const [note, setNote] = useState('');
  const [tried, setTried] = useState(false);
  const whole = known ? label : { ...label, id: slug(label.name) };
  const parsed = labelBody.safeParse(whole);
  const faults = new Map(parsed.success || !tried ? [] : parsed.error.issues.map((issue) => [issue.path.map(String).join('.'), issue.message]));
  const fault = (path: string) => {
    const found = [...faults].find(([key]) => key === path || key.startsWith(`${path}.`));
    return found ? (
      <Notice $tone="danger" role="alert">
        {found[1]}
      </Notice>
    ) : null;
  };
  const put = (part: Partial<Label>) => setLabel({ ...label, ...part });
  const putLimits = (part: Partial<Label['limits']>) => put({ limits: { ...label.limits, ...part } });
  const putUse = (i: number, part: Partial<LabelUse>) => put({ uses: label.uses.map((use, k) => (k === i ? { ...use, ...part } : use)) });
  const text = (path: string, name: string, value: string, change: (value: string) => void, type = 'text', className = '') => (
    <div className={className}>
      <TextField label={name} value={value} type={type} onChange={change} />
      {fault(path)}
    </div>
  );
  const figure = (path: string, name: string, value: number | null, change: (value: number | null) => void) => (
    <div>
      <TextField key={`${path} ${start.id}`} label={name} defaultValue={value === null ? '' : String(value)} onChange={(t) => change(number(t))} />
      {fault(path)}
    </div>
  );
  const amount = (path: string, name: string, value: Amount | null, change: (value: Amount | null) => void) => (
    <div>
      <Both>
        <TextField
          label={name}
          value={value?.value ?? ''}
          onChange={(t) => change(t.trim() === '' ? null : { value: t.replace(',', '.'), unit: value?.unit ?? 'ml' })}
        />
        <Pick>
          unit
          <select value={value?.unit ?? 'ml'} onChange={(event) => change({ value: value?.value ?? '', unit: event.target.value as Unit })}>
            {UNIT_IDS.map((unit) => (
              <option key={unit} value={unit}>
                {unitSays(unit)}
              </option>
            ))}
          </select>
        </Pick>
      </Both>
      {fault(path)}
    </div>
  );
  const check = (name: string, value: boolean, change: (value: boolean) => void) => (
    <Check>
      <input type="checkbox" checked={value} onChange={(event) => change(event.target.checked)} /> {name}
    </Check>
  );
  const save = () => {
    setTried(true);
    if (parsed.success) onSave(parsed.data, note);
  };
  return (
    <form
      aria-label={known ? `Label of ${start.name}` : 'New label'}
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <Grid>
        {text('name', 'Name', label.name, (name) => put({ name }), 'text', 'wide')}
        {text('registration', 'Registration', label.registration, (registration) => put({ registration }))}
        {text('formulation', 'Formulation', label.formulation, (formulation) => put({ formulation }))}
        <div className="line">
          <TextField
            key={`actives ${start.id}`}
            label="Active ingredients: name | concentration | mode-of-action group; divided by ;"
            defaultValue={start.actives
              .filter(({ name }) => name !== '')
              .map((a) => `${a.name} | ${a.concentration} | ${a.group}`)
              .join('; ')}
            onChange={(t) =>
              put({
                actives: t.split(';').map((part) => {
                  const [name = '', concentration = '', group = ''] = part.split('|').map((p) => p.trim());
                  return { name, concentration, group };
                }),
              })
            }
          />
          {fault('actives')}
        </div>
        <Pick>
          signal word
          <select
            value={`${label.signalWord.scheme} ${label.signalWord.word}`}
            onChange={(event) => {
              const [scheme = 'GHS', word = 'none'] = event.target.value.split(' ');
              put({ signalWord: { scheme: scheme as SignalScheme, word } });
            }}
          >
            {(Object.keys(SIGNAL_WORDS) as SignalScheme[]).flatMap((scheme) =>
              SIGNAL_WORDS[scheme].map((word) => (
                <option key={`${scheme} ${word}`} value={`${scheme} ${word}`}>
                  {scheme}: {word}
                </option>
              )),
            )}
          </select>
        </Pick>
        {check('restricted: licensed people only', label.restricted, (restricted) =>
          put({ restricted, homeUse: restricted ? false : label.homeUse }),
        )}
        {check('for home gardens', label.homeUse, (homeUse) => put({ homeUse }))}
        {check('keep from flowers and bees', label.limits.bees, (bees) => putLimits({ bees }))}
        {text('validFrom', 'Valid from', label.validFrom, (validFrom) => put({ validFrom }), 'date')}
        {text('validUntil', 'Valid until', label.validUntil ?? '', (t) => put({ validUntil: t === '' ? null : t }), 'date')}
        <div>
          <TextField
            key={`where ${start.id}`}
            label="Where (, between; * anywhere)"
            defaultValue={label.jurisdictions.join(', ')}
            onChange={(t) => put({ jurisdictions: list(t) })}
          />
          {fault('jurisdictions')}
        </div>
        <TextField key={`gear ${start.id}`} label="Protective gear" defaultValue={label.gear.join(', ')} onChange={(t) => put({ gear: list(t) })} />
        {figure('limits.fromC', 'From °C', label.limits.fromC, (fromC) => putLimits({ fromC }))}
        {figure('limits.belowC', 'Below °C', label.limits.belowC, (belowC) => putLimits({ belowC }))}
        {figure('limits.mostWindMs', 'Wind at most, m/s', label.limits.mostWindMs, (mostWindMs) => putLimits({ mostWindMs }))}
        {figure('limits.rainFreeHours', 'Dry hours after', label.limits.rainFreeHours, (rainFreeHours) => putLimits({ rainFreeHours }))}
        <div>
          <TextField
            key={`packs ${start.id}`}
            label="Packs: 250 ml, 1 l"
            defaultValue={label.packs.map(({ value, unit }) => `${value} ${unit}`).join(', ')}
            onChange={(t) =>
              put({
                packs: list(t).map((pack) => {
                  const [value = '', unit = ''] = pack.split(/\s+/);
                  return { value, unit: unit as Unit };
                }),
              })
            }
          />
          {fault('packs')}
        </div>
        {figure('limits.waterDistanceM', 'Metres from water', label.limits.waterDistanceM, (waterDistanceM) => putLimits({ waterDistanceM }))}
      </Grid>
      {label.uses.map((use, i) => (
        <Use key={i}>
          <legend>Use {i + 1}</legend>
          <Grid>
            {text(`uses.${i}.line`, 'The line as it is printed', use.line, (line) => putUse(i, { line }), 'text', 'line')}
            {text(`uses.${i}.id`, 'Short name', use.id, (id) => putUse(i, { id }))}
            <Pick>
              method
              <select value={use.method} onChange={(event) => putUse(i, { method: event.target.value as LabelUse['method'] })}>
                {['spray', 'drench', 'granules', 'paint'].map((method) => (
                  <option key={method}>{method}</option>
                ))}
              </select>
            </Pick>
            <div>
              <TextField
                key={`crops ${i} ${start.id}`}
                label="Plants, groups (* any)"
                defaultValue={use.crops.join(', ')}
                onChange={(t) => putUse(i, { crops: list(t) })}
              />
              {fault(`uses.${i}.crops`)}
            </div>
            <div>
              <TextField
                key={`pests ${i} ${start.id}`}
                label="Causes (ids or kinds)"
                defaultValue={use.pests.join(', ')}
                onChange={(t) => putUse(i, { pests: list(t) })}
              />
              {fault(`uses.${i}.pests`)}
            </div>
            {amount(`uses.${i}.rate`, 'Rate', use.rate, (rate) => putUse(i, { rate: rate ?? { value: '', unit: 'ml' } }))}
            <Pick>
              measured by
              <select
                value={use.per}
                onChange={(event) => {
                  const per = event.target.value as LabelUse['per'];
                  putUse(i, { per, of: OF_UNIT[per] });
                }}
              >
                {RATE_PER.map((per) => (
                  <option key={per} value={per}>
                    {per.replace('-', ' ')}
                  </option>
                ))}
              </select>
            </Pick>
            {use.per === 'plant' ? <span /> : amount(`uses.${i}.of`, 'for each', use.of, (of) => putUse(i, { of }))}
            {figure(`uses.${i}.mostUses`, 'Times a year', use.mostUses, (n) => putUse(i, { mostUses: n ?? 0 }))}
            {figure(`uses.${i}.intervalDays`, 'Days apart', use.intervalDays, (n) => putUse(i, { intervalDays: n ?? 0 }))}
            {figure(`uses.${i}.reentryHours`, 'Keep out, hours', use.reentryHours, (n) => putUse(i, { reentryHours: n ?? 0 }))}
            {figure(`uses.${i}.preHarvestDays`, 'Before picking, days', use.preHarvestDays, (preHarvestDays) => putUse(i, { preHarvestDays }))}
            <div>
              <Both>
                <TextField
                  label="Season from, MM-DD"
                  value={use.season?.from ?? ''}
                  onChange={(from) => putUse(i, { season: from === '' && !use.season?.to ? null : { from, to: use.season?.to ?? '' } })}
                />
                <TextField
                  label="to"
                  value={use.season?.to ?? ''}
                  onChange={(to) => putUse(i, { season: to === '' && !use.season?.from ? null : { from: use.season?.from ?? '', to } })}
                />
              </Both>
              {fault(`uses.${i}.season`)}
            </div>
            {amount(`uses.${i}.mostPerUse`, 'Most at once', use.mostPerUse, (mostPerUse) => putUse(i, { mostPerUse }))}
            {amount(`uses.${i}.mostPerYear`, 'Most a year', use.mostPerYear, (mostPerYear) => putUse(i, { mostPerYear }))}
            {amount(`uses.${i}.carrier`, 'Mix for an area', use.carrier?.amount ?? null, (a) =>
              putUse(i, { carrier: a ? { amount: a, on: use.carrier?.on ?? { value: '10', unit: 'm2' } } : null }),
            )}
            {use.carrier &&
              amount(`uses.${i}.carrier.on`, 'on', use.carrier.on, (on) => on && putUse(i, { carrier: { amount: use.carrier!.amount, on } }))}
            {label.uses.length > 1 && (
              <Button weight="quiet" onPress={() => put({ uses: label.uses.filter((_, k) => k !== i) })}>
                Take this use away
              </Button>
            )}
          </Grid>
        </Use>
      ))}
      <Grid style={{ marginTop: 14 }}>
        <Button onPress={() => put({ uses: [...label.uses, { ...NEW_USE, id: `use-${label.uses.length + 1}` }] })}>Another use</Button>
        <TextField className="wide" label="What has changed (for the history)" value={note} onChange={setNote} />
        <span />
        <Button type="submit" weight="act">
          Save the label
        </Button>
        <Button weight="quiet" onPress={onCancel}>
          Leave it
        </Button>
      </Grid>
      {tried && faults.size > 0 && (
        <Notice $tone="danger" role="alert">
          {faults.size} {faults.size === 1 ? 'field needs' : 'fields need'} another look; nothing was saved yet.
        </Notice>
      )}
      {refused && (
        <Notice $tone="danger" role="alert">
          {refused}
        </Notice>
      )}
    </form>
  );
}
