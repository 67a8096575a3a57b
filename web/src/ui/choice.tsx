import { ToggleButton, ToggleButtonGroup } from 'react-aria-components';
import { styled } from 'styled-components';

const Row = styled.div`
  display: grid;
  grid-template-columns: 88px minmax(0, 1fr);
  gap: 10px;
  align-items: center;
  padding: 3px 0;
  font-size: 14.5px;
  > span {
    color: ${({ theme }) => theme.inkSoft};
  }
`;
const Group = styled(ToggleButtonGroup)`
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
`;
const One = styled(ToggleButton)<{ $read: boolean }>`
  border: 1px ${({ $read }) => ($read ? 'dashed' : 'solid')} ${({ theme }) => theme.rule};
  background: ${({ theme }) => theme.sheet};
  border-radius: 3px;
  padding: 2px 9px;
  min-height: 28px;
  cursor: pointer;
  &[data-selected] {
    background: ${({ theme, $read }) => ($read ? theme.wash : theme.ink)};
    color: ${({ theme, $read }) => ($read ? theme.ink : theme.paper)};
    border-color: ${({ theme }) => theme.ink};
  }
  &[data-focus-visible] {
    outline: 2.5px solid ${({ theme }) => theme.focus};
    outline-offset: 1px;
  }
`;

interface Props<T extends string> {
  label: string;
  options: readonly { id: T; say: string }[];
  /** What is set, or read from elsewhere; null = neither. */
  value: T | null;
  /** The value was read, not set: shown dashed, and set by pressing it. */
  read?: boolean;
  onChange: (value: T | null) => void;
}

/** One of a few, or none: pressing the chosen one takes it back. */
export function Choice<T extends string>({ label, options, value, read = false, onChange }: Props<T>) {
  return (
    <Row>
      <span aria-hidden="true">{label}</span>
      <Group
        aria-label={label}
        selectionMode="single"
        selectedKeys={value === null ? [] : [value]}
        onSelectionChange={(keys) => {
          const chosen = [...keys][0] as T | undefined;
          // pressing what was only read makes it said
          onChange(chosen ?? (read ? value : null));
        }}
      >
        {options.map(({ id, say }) => (
          <One key={id} id={id} $read={read && id === value}>
            {say}
          </One>
        ))}
      </Group>
    </Row>
  );
}

/** A native list of choices with its label above: every keyboard and screen reader knows it. */
export const Pick = styled.label`
  display: grid;
  gap: 3px;
  font-size: 13px;
  color: ${({ theme }) => theme.inkSoft};
  select {
    min-height: 34px;
    padding: 4px 6px;
    border: 1px solid ${({ theme }) => theme.rule};
    border-radius: 3px;
    background: ${({ theme }) => theme.sheet};
    color: ${({ theme }) => theme.ink};
    font-size: 15.5px;
    max-width: 100%;
  }
`;
