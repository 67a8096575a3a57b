import { useState } from 'react';
import { styled } from 'styled-components';
import type { SessionView } from '@sounding/contract/api.ts';
import { placeBody, type Place } from '@sounding/contract/settings.ts';
import { CLIMATES, type Climate, type Hemisphere } from '@sounding/core/edition/climates.ts';
import { Pick } from '../../ui/choice.tsx';
import { Button, Notice, TextField } from '../../ui/controls.tsx';
import { Aside } from '../library/parts.tsx';

const Row = styled.div`
  display: flex;
  gap: 14px;
  align-items: end;
  flex-wrap: wrap;
  margin: 10px 0;
  > :first-child {
    flex: 0 1 340px;
  }
`;

const CLIMATE_WORDS: Record<Climate, string> = {
  'temperate-maritime': 'temperate, maritime',
  continental: 'continental',
  mediterranean: 'mediterranean',
  arid: 'arid',
  subtropical: 'subtropical',
  'tropical-highland': 'tropical highland',
};
const HEMISPHERE_WORDS: Record<Hemisphere, string> = { N: 'northern', S: 'southern' };

interface Props {
  desk: SessionView['desk'];
  stations: SessionView['stations'];
  may: boolean;
  onSave: (place: Place) => void;
}

/** Where the desk is: seasons, windows and the months in every text go by it. */
export function DeskPlace({ desk, stations, may, onSave }: Props) {
  const [draft, setDraft] = useState<Place>({ name: desk.name, climate: desk.climate, hemisphere: desk.hemisphere });
  const parsed = placeBody.safeParse(draft);
  const isChanged = draft.name !== desk.name || draft.climate !== desk.climate || draft.hemisphere !== desk.hemisphere;
  const across = stations.filter(({ lat }) => (lat < 0 ? 'S' : 'N') !== draft.hemisphere);
  return (
    <>
      <h2>Where the desk is</h2>
      <Aside>
        Seasons, windows and the months in every text go by this, from the next question on. What was taken before keeps the place it was taken with.
      </Aside>
      <Row>
        <TextField label="Name of the desk" value={draft.name} isDisabled={!may} onChange={(name) => setDraft({ ...draft, name })} />
        <Pick>
          Climate
          <select value={draft.climate} disabled={!may} onChange={(event) => setDraft({ ...draft, climate: event.target.value as Climate })}>
            {CLIMATES.map((climate) => (
              <option key={climate} value={climate}>
                {CLIMATE_WORDS[climate]}
              </option>
            ))}
          </select>
        </Pick>
        <Pick>
          Hemisphere
          <select value={draft.hemisphere} disabled={!may} onChange={(event) => setDraft({ ...draft, hemisphere: event.target.value as Hemisphere })}>
            {(['N', 'S'] as const).map((hemisphere) => (
              <option key={hemisphere} value={hemisphere}>
                {HEMISPHERE_WORDS[hemisphere]}
              </option>
            ))}
          </select>
        </Pick>
        {may && (
          <Button isDisabled={!parsed.success || !isChanged} onPress={() => parsed.success && onSave(parsed.data)}>
            Save the place
          </Button>
        )}
      </Row>
      {!parsed.success && (
        <Notice $tone="danger" role="alert">
          {parsed.error.issues[0]?.message}
        </Notice>
      )}
      {across.length > 0 && (
        <Notice role="status">
          {across.map(({ name }) => name).join(', ')} {across.length === 1 ? 'lies' : 'lie'} on the other side of the equator from a{' '}
          {HEMISPHERE_WORDS[draft.hemisphere]} desk: set their latitude or the hemisphere right.
        </Notice>
      )}
    </>
  );
}
