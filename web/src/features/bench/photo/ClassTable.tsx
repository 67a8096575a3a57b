import { styled } from 'styled-components';
import type { ColourClass } from '@sounding/core/photo/classes.ts';
import type { LeafMeasure } from '@sounding/core/photo/measure.ts';
import { percentSaid } from '@sounding/core/photo/says.ts';
import { Button } from '../../../ui/controls.tsx';

const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-size: 14.5px;
  td,
  th {
    text-align: left;
    font-weight: 400;
    padding: 1px 6px 1px 0;
    border-bottom: 1px solid ${({ theme }) => theme.rule};
    white-space: nowrap;
  }
  th:last-child,
  td:last-child {
    text-align: right;
  }
  .share {
    text-align: right;
    font-variant-numeric: tabular-nums;
  }
  input[type='range'] {
    width: 70px;
    vertical-align: middle;
    accent-color: ${({ theme }) => theme.ink};
  }
  input[type='checkbox'] {
    accent-color: ${({ theme }) => theme.ink};
    margin: 0 6px 0 0;
    vertical-align: -2px;
  }
  button {
    min-height: 26px;
    padding: 1px 8px;
  }
`;

interface Props {
  classes: readonly ColourClass[];
  leaf: LeafMeasure | null;
  /** The class whose colour the next press on the picture gives. */
  picking: string | null;
  onPick: (id: string) => void;
  onChange: (id: string, change: Partial<ColourClass>) => void;
}

/** The colours that are told apart, with what each takes of the leaf; each can be switched, widened, or shown in the picture. */
export function ClassTable({ classes, leaf, picking, onPick, onChange }: Props) {
  return (
    <Table>
      <thead>
        <tr>
          <th scope="col">colour</th>
          <th scope="col" className="share">
            share
          </th>
          <th scope="col">takes in</th>
          <th scope="col">
            <span>like this</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {classes.map((one) => (
          <tr key={one.id}>
            <td>
              <label>
                <input type="checkbox" checked={one.on} onChange={(event) => onChange(one.id, { on: event.target.checked })} />
                {one.name}
              </label>
            </td>
            <td className="share">{leaf && one.on ? percentSaid(leaf.shares[one.id] ?? 0) : ''}</td>
            <td>
              <input
                type="range"
                min={0.5}
                max={2}
                step={0.05}
                value={one.reach}
                disabled={!one.on}
                aria-label={`how much ${one.name} takes in`}
                onChange={(event) => onChange(one.id, { reach: Number(event.target.value) })}
              />
            </td>
            <td>
              <Button
                weight={picking === one.id ? 'act' : 'plain'}
                aria-label={`take a colour for ${one.name} from the picture`}
                onPress={() => onPick(one.id)}
              >
                {picking === one.id ? 'press on it' : 'show'}
              </Button>
            </td>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}
