import { memo } from 'react';
import { styled } from 'styled-components';
import { Button, ComboBox, Input, Label, ListBox, ListBoxItem, Popover } from 'react-aria-components';
import type { Plant } from '@sounding/core/edition/plants.ts';

const Host = styled(ComboBox)`
  display: flex;
  align-items: center;
  gap: 6px;
  label {
    font-size: 14px;
    color: ${({ theme }) => theme.inkSoft};
  }
  input {
    width: 190px;
    min-width: 190px;
    max-width: 290px;
    text-overflow: ellipsis;
    min-height: 34px;
    padding: 4px 9px;
    font:
      600 18px/1.2 'Alegreya',
      serif;
    border: 1px solid ${({ theme }) => theme.rule};
    border-radius: 3px;
    background: ${({ theme }) => theme.sheet};
  }
  @supports (field-sizing: content) {
    input {
      field-sizing: content;
      width: auto;
    }
  }
  button {
    border: 1px solid ${({ theme }) => theme.rule};
    background: ${({ theme }) => theme.sheet};
    border-radius: 3px;
    min-height: 34px;
    min-width: 28px;
  }
`;
const Choices = styled(Popover)`
  background: ${({ theme }) => theme.sheet};
  color: ${({ theme }) => theme.ink};
  border: 1px solid ${({ theme }) => theme.ink};
  max-height: 320px;
  overflow: auto;
  min-width: 240px;
`;
const Choice = styled(ListBoxItem)`
  padding: 5px 10px;
  cursor: pointer;
  i {
    color: ${({ theme }) => theme.inkSoft};
    font-size: 13.5px;
  }
  &[data-focused] {
    background: ${({ theme }) => theme.wash};
    outline: none;
  }
`;

interface Props {
  hostId: string | null;
  /** Name of the plant that was noted when the call came in: it is taken with the first words. */
  noted: string | null;
  plants: readonly Plant[];
  onPick: (patch: { hostId: string | null }) => void;
}

/** The plant of the call, from all the edition knows. It renders hundreds of names: nothing but another plant may make it do so again. */
export const HostPicker = memo(function HostPicker({ hostId, noted, plants, onPick }: Props) {
  return (
    <Host defaultSelectedKey={hostId ?? ''} onSelectionChange={(key) => onPick({ hostId: key === null ? null : String(key) })} menuTrigger="focus">
      <Label>plant</Label>
      <Input placeholder={noted ? `${noted}, noted` : 'not named yet'} />
      <Button aria-label="All plants">▾</Button>
      <Choices>
        <ListBox items={plants.map(({ id, name, latin, also }) => ({ id, name, latin, also }))}>
          {(plant) => (
            <Choice id={plant.id} textValue={plant.name}>
              {plant.name} <i>{plant.latin}</i>
            </Choice>
          )}
        </ListBox>
      </Choices>
    </Host>
  );
});
