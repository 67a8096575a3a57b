import { useMemo, useState } from 'react';
import { styled } from 'styled-components';
import type { PlanBody } from '@sounding/contract/plan.ts';
import { dimensionOf, exact, sayAmount, unitSays, unitsOf, type Dimension, type Unit } from '@sounding/core/quantities/units.ts';
import { doseInWords, type Equipment, type Target } from '@sounding/core/treatment/dose.ts';
import type { LabelContext } from '@sounding/core/treatment/label.ts';
import { Pick } from '../../ui/choice.tsx';
import { Notice, TextField } from '../../ui/controls.tsx';
import { doseOf, type Offer, type Worked } from './doseOf.ts';

const Grid = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
  gap: 8px 12px;
  align-items: end;
  margin: 8px 0;
  input,
  select {
    width: 100%;
  }
`;
const FigureAndUnit = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.3fr);
  gap: 6px;
`;
const Wide = styled(Pick)`
  grid-column: 1 / -1;
`;
const Said = styled.p`
  font-size: 24px;
  font-weight: 600;
  line-height: 1.25;
  margin: 10px 0 2px;
`;
const Refused = styled.div`
  border-left: 4px solid ${({ theme }) => theme.chalk};
  padding-left: 12px;
  margin: 8px 0;
  q {
    font-style: italic;
  }
`;
const Small = styled.p`
  font-size: 13.5px;
  color: ${({ theme }) => theme.inkSoft};
`;

const EQUIPMENT: readonly { id: Equipment['kind']; say: string }[] = [
  { id: 'pressure-sprayer', say: 'pressure sprayer' },
  { id: 'watering-can', say: 'watering can' },
  { id: 'hose-end', say: 'hose-end sprayer' },
  { id: 'spreader', say: 'spreader' },
  { id: 'by-hand', say: 'by hand' },
];
const TARGETS: readonly { id: Target['kind']; say: string; dimension: Dimension | null }[] = [
  { id: 'mix', say: 'so much mix', dimension: 'volume' },
  { id: 'area', say: 'an area', dimension: 'area' },
  { id: 'plants', say: 'plants', dimension: null },
  { id: 'trunks', say: 'trunks', dimension: 'length' },
  { id: 'pots', say: 'pots', dimension: 'volume' },
];
/** Dials as hose-end sprayers have them: so much to the gallon, or to the litre. */
const DIALS = {
  us: [1, 2, 3, 4, 6, 8].map((n) => ({
    say: `${n} tbsp`,
    product: { value: String(n), unit: 'tbsp-us' as const },
    water: { value: '1', unit: 'gal-us' as const },
  })),
  metric: [2, 4, 8, 12, 16, 20].map((n) => ({
    say: `${n} ml/l`,
    product: { value: String(n), unit: 'ml' as const },
    water: { value: '1', unit: 'l' as const },
  })),
};

/** Units people measure gardens in; a hectare is nobody's bed. */
const GARDEN_UNITS: Partial<Record<Dimension, readonly Unit[]>> = {
  volume: ['l', 'ml', 'gal-us', 'qt-us', 'gal-imp'],
  area: ['m2', 'sqft', 'sqyd'],
  length: ['cm', 'in', 'm', 'ft'],
};
const unitsFor = (dimension: Dimension): readonly Unit[] => GARDEN_UNITS[dimension] ?? unitsOf(dimension);

/** What fits a line of a label from the start. */
export function usualTarget(offer: Offer, system: PlanBody['system']): Target {
  const { per } = offer.use;
  const metric = system === 'metric';
  if (per === 'area') return { kind: 'area', area: { value: '10', unit: metric ? 'm2' : 'sqft' } };
  if (per === 'plant') return { kind: 'plants', count: 1 };
  if (per === 'trunk-diameter' || per === 'trunk-girth')
    return { kind: 'trunks', across: { value: '10', unit: metric ? 'cm' : 'in' }, measured: per === 'trunk-girth' ? 'girth' : 'diameter', count: 1 };
  if (per === 'pot-volume') return { kind: 'pots', holds: { value: '5', unit: 'l' }, count: 1 };
  return { kind: 'mix', finished: { value: metric ? '5' : '1', unit: metric ? 'l' : 'gal-us' } };
}
export function usualEquipment(offer: Offer, system: PlanBody['system']): Equipment {
  if (offer.use.method === 'granules') return { kind: 'by-hand' };
  return {
    kind: offer.use.method === 'drench' ? 'watering-can' : 'pressure-sprayer',
    holds: { value: system === 'metric' ? '5' : '1', unit: system === 'metric' ? 'l' : 'gal-us' },
  };
}

interface AmountProps {
  label: string;
  amount: { value: string; unit: Unit };
  dimension: Dimension;
  onChange: (amount: { value: string; unit: Unit }) => void;
}
/** A figure and its unit; what is no figure is said beside it, and the last good one stays. */
function AmountField({ label, amount, dimension, onChange }: AmountProps) {
  const [draft, setDraft] = useState(amount.value);
  const [fault, setFault] = useState<string | null>(null);
  const put = (text: string) => {
    setDraft(text);
    try {
      if (exact(text).compare(0) <= 0) throw new RangeError('must be above 0');
      setFault(null);
      onChange({ ...amount, value: text.trim().replace(',', '.') });
    } catch (error) {
      setFault(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <div>
      <FigureAndUnit>
        <TextField label={label} value={draft} onChange={put} />
        <Pick>
          unit
          <select value={amount.unit} onChange={(event) => onChange({ ...amount, unit: event.target.value as Unit })}>
            {unitsFor(dimension).map((unit) => (
              <option key={unit} value={unit}>
                {unitSays(unit)}
              </option>
            ))}
          </select>
        </Pick>
      </FigureAndUnit>
      {fault && (
        <Notice $tone="danger" role="alert">
          {fault}
        </Notice>
      )}
    </div>
  );
}

interface Props {
  offers: readonly Offer[];
  plan: PlanBody;
  context: LabelContext;
  edible: boolean;
  onPlan: (change: Partial<PlanBody>) => void;
}

/** From a product of the desk's shed to what the caller measures out; what may not be used says which line forbids it. */
export function ProductPanel({ offers, plan, context, edible, onPlan }: Props) {
  const allowed = offers.filter((offer) => offer.refusal === null);
  const chosen = offers.find(({ label, use }) => label.id === plan.labelId && use.id === plan.useId) ?? null;
  const [stronger, setStronger] = useState('');
  const equipment = chosen ? (plan.equipment ?? usualEquipment(chosen, plan.system)) : null;
  const target = chosen ? (plan.target ?? usualTarget(chosen, plan.system)) : null;
  const worked: Worked = useMemo(
    () => (chosen && equipment && target ? doseOf(chosen, plan, equipment, target, context) : null),
    [chosen, equipment, target, plan, context],
  );
  const asked: Worked = useMemo(() => {
    if (!chosen || !equipment || !target || !/^\d+([.,]\d+)?$/.test(stronger.trim())) return null;
    const unit = dimensionOf(chosen.use.rate.unit) === 'mass' ? 'g' : 'ml';
    return doseOf(chosen, plan, equipment, target, context, { value: stronger.trim().replace(',', '.'), unit });
  }, [chosen, equipment, target, plan, context, stronger]);
  const take = (key: string) => {
    const offer = offers.find(({ label, use }) => `${label.id} ${use.id}` === key);
    if (!offer) onPlan({ labelId: null, useId: null, equipment: null, target: null });
    else
      onPlan({
        labelId: offer.label.id,
        useId: offer.use.id,
        equipment: usualEquipment(offer, plan.system),
        target: usualTarget(offer, plan.system),
      });
  };
  const setTarget = (next: Target) => onPlan({ target: next });
  return (
    <section aria-label="Product and amount">
      <h2>Product and amount</h2>
      {offers.length === 0 && <Notice>No product of this desk is labelled for this plant and this trouble.</Notice>}
      {offers.length > 0 && (
        <Grid>
          <Wide>
            product
            <select value={chosen ? `${chosen.label.id} ${chosen.use.id}` : ''} onChange={(event) => take(event.target.value)}>
              <option value="">none</option>
              {offers.map(({ label, use, refusal }) => (
                <option key={`${label.id} ${use.id}`} value={`${label.id} ${use.id}`}>
                  {label.name} – {label.actives.map(({ name }) => name).join(', ')}
                  {refusal ? ` (not here: ${refusal.refer ? 'licensed only' : refusal.why})` : ''}
                </option>
              ))}
            </select>
          </Wide>
        </Grid>
      )}
      {allowed.length === 0 && offers.some(({ refusal }) => refusal?.refer) && (
        <Small>Only products for licensed people are labelled for it: refer the caller, with what is known.</Small>
      )}
      {chosen && equipment && target && (
        <>
          <Small>
            “{chosen.use.line}” · {chosen.label.signalWord.scheme} {chosen.label.signalWord.word} ·{' '}
            {chosen.label.actives.map(({ group }) => group).join(', ')}
          </Small>
          <Grid>
            <Pick>
              put on with
              <select
                value={equipment.kind}
                onChange={(event) => {
                  const kind = event.target.value as Equipment['kind'];
                  const holds = 'holds' in equipment ? equipment.holds : { value: '5', unit: 'l' as const };
                  onPlan({
                    equipment:
                      kind === 'hose-end'
                        ? { kind, settings: DIALS[plan.system] }
                        : kind === 'pressure-sprayer' || kind === 'watering-can'
                          ? { kind, holds }
                          : { kind },
                  });
                }}
              >
                {EQUIPMENT.map(({ id, say }) => (
                  <option key={id} value={id}>
                    {say}
                  </option>
                ))}
              </select>
            </Pick>
            {'holds' in equipment && (
              <AmountField
                key={`holds ${chosen.label.id} ${equipment.kind}`}
                label="it holds"
                amount={equipment.holds}
                dimension="volume"
                onChange={(holds) => onPlan({ equipment: { ...equipment, holds } })}
              />
            )}
            <Pick>
              on
              <select
                value={target.kind}
                onChange={(event) => {
                  const kind = event.target.value as Target['kind'];
                  const next: Record<Target['kind'], Target> = {
                    mix: { kind: 'mix', finished: { value: '5', unit: 'l' } },
                    area: { kind: 'area', area: { value: '10', unit: 'm2' } },
                    plants: { kind: 'plants', count: 1 },
                    trunks: { kind: 'trunks', across: { value: '10', unit: 'cm' }, measured: 'diameter', count: 1 },
                    pots: { kind: 'pots', holds: { value: '5', unit: 'l' }, count: 1 },
                  };
                  setTarget(next[kind]);
                }}
              >
                {TARGETS.map(({ id, say }) => (
                  <option key={id} value={id}>
                    {say}
                  </option>
                ))}
              </select>
            </Pick>
            {target.kind === 'mix' && (
              <AmountField
                key="mix"
                label="mix in all"
                amount={target.finished}
                dimension="volume"
                onChange={(finished) => setTarget({ ...target, finished })}
              />
            )}
            {target.kind === 'area' && (
              <AmountField key="area" label="area" amount={target.area} dimension="area" onChange={(area) => setTarget({ ...target, area })} />
            )}
            {target.kind === 'trunks' && (
              <>
                <AmountField
                  key="trunk"
                  label="trunk"
                  amount={target.across}
                  dimension="length"
                  onChange={(across) => setTarget({ ...target, across })}
                />
                <Pick>
                  measured
                  <select
                    value={target.measured}
                    onChange={(event) => setTarget({ ...target, measured: event.target.value as 'diameter' | 'girth' })}
                  >
                    <option value="diameter">across</option>
                    <option value="girth">round</option>
                  </select>
                </Pick>
              </>
            )}
            {target.kind === 'pots' && (
              <AmountField
                key="pots"
                label="each holds"
                amount={target.holds}
                dimension="volume"
                onChange={(holds) => setTarget({ ...target, holds })}
              />
            )}
            {'count' in target && (
              <TextField
                label="how many"
                value={String(target.count)}
                onChange={(text) => setTarget({ ...target, count: Math.max(1, Math.min(10_000, Math.floor(Number(text)) || 1)) })}
              />
            )}
            <Pick>
              said in
              <select value={plan.system} onChange={(event) => onPlan({ system: event.target.value as PlanBody['system'] })}>
                <option value="metric">ml and litres</option>
                <option value="us">spoons and gallons</option>
              </select>
            </Pick>
          </Grid>
          {worked && 'dose' in worked && (
            <>
              <Said>{worked.dose.say}</Said>
              <p>
                {doseInWords(worked.dose, chosen.use, chosen.label, edible)
                  .slice(chosen.label.name.length + 2 + worked.dose.say.length)
                  .replace(/^, /, '')}
              </p>
              <Small>
                {worked.dose.steps.join(' · ')}. To buy: {worked.dose.toBuy}
                {worked.dose.remainder ? `; ${worked.dose.remainder} stays in the pack: keep it there or hand it in` : ''}.
                {chosen.label.gear.length > 0 ? ` Wear: ${chosen.label.gear.join(', ')}.` : ''}
              </Small>
              <Grid>
                <TextField
                  label={`caller asks for more: ${dimensionOf(chosen.use.rate.unit) === 'mass' ? 'g' : 'ml'} to ${chosen.use.of ? `${sayAmount(chosen.use.of)}` : 'a plant'}`}
                  value={stronger}
                  onChange={setStronger}
                />
              </Grid>
            </>
          )}
          {[worked, asked].map((result, i) =>
            result && 'refusal' in result ? (
              <Refused key={i} role="alert">
                <b>{result.refusal.refer ? 'Refer: ' : 'No: '}</b>
                {result.refusal.why}.<br />
                <q>{result.refusal.line}</q>
              </Refused>
            ) : result && 'fault' in result ? (
              <Notice key={i} $tone="danger" role="alert">
                {result.fault}
              </Notice>
            ) : null,
          )}
          {asked && 'dose' in asked && stronger && <Small>Within the label: {asked.dose.say}.</Small>}
        </>
      )}
    </section>
  );
}
