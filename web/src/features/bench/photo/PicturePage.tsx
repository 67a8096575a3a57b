import { useMemo, useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import { Link, useNavigate } from 'react-router';
import { styled } from 'styled-components';
import { meanSaid, percentSaid, photoSays } from '@sounding/core/photo/says.ts';
import { readingText } from '@sounding/core/consult/words.ts';
import { hear, useHeard } from '../../../engine/engine.ts';
import { keepPicture } from '../../../store/pictureStore.ts';
import { Choice } from '../../../ui/choice.tsx';
import { Button, Notice, TextField } from '../../../ui/controls.tsx';
import { useLibrary } from '../../library/parts.tsx';
import { BenchTabs } from '../BenchTabs.tsx';
import { Side, Small, View } from '../layout.ts';
import { backToCase, useCaseAtHand } from '../useCaseAtHand.ts';
import { ClassTable } from './ClassTable.tsx';
import { PhotoCanvas } from './PhotoCanvas.tsx';
import { scaleOf, showsTrunk, woundOf, type Tool } from './photoState.ts';
import { photoWritesOf } from './photoWrites.ts';
import { usePhotoWork } from './usePhotoWork.ts';

const Table = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.35fr) minmax(340px, 1fr);
  gap: 22px;
  padding: 16px 24px 32px;
  align-items: start;
  @media (max-width: 1100px) {
    grid-template-columns: minmax(0, 1fr);
  }
  h1 {
    font-size: 26px;
  }
`;
const Answer = styled.div`
  border-left: 4px solid ${({ theme }) => theme.brass};
  padding-left: 14px;
  margin-bottom: 12px;
  min-height: 92px;
  .first {
    font-size: 22px;
    font-weight: 600;
    line-height: 1.2;
  }
`;
const Thumbs = styled.ul`
  li {
    position: relative;
    margin: 6px 0;
  }
  img {
    display: block;
    width: 100%;
    height: 70px;
    object-fit: cover;
  }
  li button.choose {
    padding: 2px;
    height: auto;
  }
`;
const Empty = styled.div`
  display: grid;
  place-content: center;
  gap: 12px;
  justify-items: center;
  text-align: center;
  min-height: 380px;
  border: 1.5px dashed ${({ theme }) => theme.rule};
  padding: 24px;
`;
const Tools = styled.div`
  margin-bottom: 8px;
`;

const TOOL_WORDS: readonly { id: Tool; say: string }[] = [
  { id: 'keep', say: 'leaf' },
  { id: 'leave-out', say: 'not leaf' },
  { id: 'ruler', say: 'ruler' },
  { id: 'coin', say: 'coin' },
  { id: 'wound', say: 'wound' },
  { id: 'trunk', say: 'trunk' },
];
const TOOL_HINTS: Record<Tool, string> = {
  keep: 'Draw round the leaf where the background is not plain. Without a drawing, everything that is not background counts.',
  'leave-out': 'Draw round fingers, stalks and other leaves: they do not count.',
  ruler: 'Draw along the ruler and say how long that is.',
  coin: 'Draw across the coin, rim to rim, and say how wide it is. It is left out of the leaf.',
  wound: 'Draw across the wound at its widest; then the trunk at the same height.',
  trunk: 'Draw across the trunk, bark to bark, at the height of the wound.',
  colour: 'Press on the picture where it has that colour.',
};

/** Pictures of leaves and trunks measured: share affected, spots, size, wound; into the case as a reading with its picture. */
export function PicturePage() {
  const { edition } = useLibrary();
  const atHand = useCaseAtHand();
  const navigate = useNavigate();
  const work = usePhotoWork();
  const [tool, setTool] = useState<Tool>('keep');
  const [picking, setPicking] = useState<string | null>(null);
  const [mm, setMm] = useState('20');
  const [words, setWords] = useState('');
  const [overlay, setOverlay] = useState(true);
  const { photo, drawn, read, classes } = work;
  const scale = useMemo(() => scaleOf(drawn, mm), [drawn, mm]);
  const wound = useMemo(() => woundOf(drawn), [drawn]);
  const trunkOnly = showsTrunk(drawn);
  const lines = read ? photoSays({ leaf: trunkOnly ? null : read.leaf, spots: read.spots, mmPerPx: scale.value, wound: wound.value }, classes) : [];
  const mean = meanSaid(work.leaves);
  const heard = useHeard(edition ?? undefined, words, null, atHand?.question.hostId ?? null);
  const active = picking ? 'colour' : tool;

  const putIn = async () => {
    if (!atHand || !photo || !edition) return;
    const whole = words.trim() === '' ? null : await hear(edition, words.trim(), null, atHand.question.hostId);
    await keepPicture(photo.id, photo.image);
    const shown = {
      pictureId: photo.id,
      width: photo.pixels.width,
      height: photo.pixels.height,
      lines: mean && !trunkOnly ? [...lines, mean] : lines,
      words,
      readings: whole?.readings ?? [],
    };
    for (const write of photoWritesOf(shown, atHand.question, () => crypto.randomUUID())) atHand.write(write);
    void navigate(backToCase(atHand));
  };
  const files = (list: FileList | readonly File[] | null) => work.add([...(list ?? [])]);
  const trigger = (
    <FileTrigger acceptedFileTypes={['image/*']} allowsMultiple onSelect={files}>
      <Button>{photo ? 'Add a picture' : 'Choose pictures'}</Button>
    </FileTrigger>
  );
  return (
    <View
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        files(event.dataTransfer.files);
      }}
      onPaste={(event) => files(event.clipboardData.files)}
    >
      <Side aria-label="Pictures">
        <BenchTabs />
        {photo && trigger}
        <Thumbs>
          {work.photos.map((one) => (
            <li key={one.id}>
              <Button className="choose" weight="quiet" aria-current={one.id === photo?.id} onPress={() => work.choose(one.id)}>
                <img src={one.url} alt={one.name} />
                {one.name}
                {work.all[one.id]?.leaf.affected != null && `: ${percentSaid(work.all[one.id]?.leaf.affected ?? 0)}`}
              </Button>
              <Button weight="quiet" aria-label={`Take ${one.name} away`} onPress={() => work.remove(one.id)}>
                take away
              </Button>
            </li>
          ))}
        </Thumbs>
        {mean && <p>{mean}</p>}
      </Side>
      <Table>
        <div>
          {work.faults.map((fault) => (
            <Notice key={fault} $tone="danger" role="alert">
              {fault}
            </Notice>
          ))}
          {photo ? (
            <>
              <Tools>
                <Choice
                  label="draw"
                  options={TOOL_WORDS}
                  value={picking ? null : tool}
                  onChange={(value) => {
                    setPicking(null);
                    setTool(value ?? tool);
                  }}
                />
                <Small>{TOOL_HINTS[active]}</Small>
              </Tools>
              <PhotoCanvas
                photo={photo}
                drawn={drawn}
                cut={trunkOnly ? null : (read?.cut ?? null)}
                classes={classes}
                overlay={overlay}
                tool={active}
                onStroke={(points) => {
                  work.stroke(active, points, picking);
                  setPicking(null);
                }}
              />
              <p>
                <Button weight="quiet" onPress={() => setOverlay(!overlay)}>
                  {overlay ? 'Show the bare picture' : 'Show what was read'}
                </Button>
                <Button weight="quiet" onPress={work.clear}>
                  Wipe the drawing
                </Button>
              </p>
            </>
          ) : (
            <Empty>
              <h1>A leaf on white paper</h1>
              <p>One leaf or several, flat, in even light, square from above. A coin or a ruler beside it gives sizes.</p>
              {trigger}
              <Small>Or drop or paste a picture here. Place, time and camera are taken out of it before anything is kept.</Small>
            </Empty>
          )}
        </div>
        {photo && (
          <div>
            <Answer role="status">
              {!read && <p>Reading the picture …</p>}
              {read && lines.length === 0 && <p className="first">{trunkOnly ? 'Draw both: the wound and the trunk.' : 'No leaf is found in it.'}</p>}
              {lines.map((text, i) => (
                <p key={text} className={i === 0 ? 'first' : ''}>
                  {text}
                </p>
              ))}
            </Answer>
            <Small>
              {trunkOnly
                ? 'The wound is seen as a chord of the trunk: arc = D·asin(width ÷ D). Outlook by share of girth – from memory.'
                : 'Classes after Horsfall & Barratt 1945 – published. Colours to start from – from memory; show yours below.'}
            </Small>
            {read?.cut.background === 'unclear' && !trunkOnly && <Notice>The background is not plain: draw round the leaf.</Notice>}
            {(drawn.ruler ?? drawn.coin) && (
              <TextField label={drawn.coin ? 'the coin is so many mm wide' : 'the line is so many mm long'} value={mm} onChange={setMm} />
            )}
            {[scale.fault, wound.fault].map(
              (fault) =>
                fault && (
                  <Notice key={fault} $tone="danger" role="alert">
                    {fault}
                  </Notice>
                ),
            )}
            {!trunkOnly && (
              <ClassTable
                classes={classes}
                leaf={read?.leaf ?? null}
                picking={picking}
                onPick={(id) => setPicking(picking === id ? null : id)}
                onChange={work.changeClass}
              />
            )}
            {!trunkOnly && (
              <Button weight="quiet" onPress={work.resetClasses}>
                Colours as at first
              </Button>
            )}
            {atHand && (
              <>
                <TextField label="What does it show?" hint="brown spots with rings, rust underneath …" value={words} onChange={setWords} />
                <Small role="status">
                  {heard?.readings.map((r) => (edition ? readingText(edition, r.finding, r.answer) : r.answer)).join(' · ') ||
                    'read as words, by photo'}
                </Small>
                <p>
                  <Button weight="act" isDisabled={!read} onPress={() => void putIn()}>
                    Put it into the case of {atHand.view.caller.name}
                  </Button>{' '}
                  <Link to={backToCase(atHand)}>Back without</Link>
                </p>
              </>
            )}
          </div>
        )}
      </Table>
    </View>
  );
}
