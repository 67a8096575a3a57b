import { useEffect, useRef, useState } from 'react';
import type { ColourClass } from '@sounding/core/photo/classes.ts';
import type { LeafMeasure } from '@sounding/core/photo/measure.ts';
import type { Point } from '@sounding/core/photo/mask.ts';
import { readPhoto } from '../../../engine/photo.ts';
import type { Read } from '../../../engine/photo.worker.ts';
import { loadPhoto, type LoadedPhoto } from './loadPhoto.ts';
import { changedClass, colourAt, drawnWith, NOTHING_DRAWN, optionsOf, showsTrunk, START_CLASSES, type Drawn, type Tool } from './photoState.ts';

export interface PhotoWork {
  photos: readonly LoadedPhoto[];
  photo: LoadedPhoto | null;
  drawn: Drawn;
  classes: readonly ColourClass[];
  /** What was read from the picture at work; null while it is being read. */
  read: Read | null;
  /** What was read last from each picture. */
  all: Readonly<Record<string, Read>>;
  /** The leaf of each picture that shows one; trunks with a wound are none. */
  leaves: readonly (LeafMeasure | null)[];
  faults: readonly string[];
  add: (files: readonly File[]) => void;
  choose: (id: string) => void;
  remove: (id: string) => void;
  stroke: (tool: Tool, points: readonly Point[], classId: string | null) => void;
  clear: () => void;
  changeClass: (id: string, change: Partial<ColourClass>) => void;
  resetClasses: () => void;
}

/** The pictures on the bench: what was drawn on each, the colours told apart, and what was read. Everything stays in the tab. */
export function usePhotoWork(): PhotoWork {
  const [photos, setPhotos] = useState<readonly LoadedPhoto[]>([]);
  const [chosen, setChosen] = useState<string | null>(null);
  const [drawings, setDrawings] = useState<Readonly<Record<string, Drawn>>>({});
  const [classes, setClasses] = useState<readonly ColourClass[]>(START_CLASSES);
  const [all, setAll] = useState<Readonly<Record<string, Read>>>({});
  const done = useRef(new Map<string, { drawn: Drawn; classes: readonly ColourClass[] }>());
  const [faults, setFaults] = useState<readonly string[]>([]);
  const photo = photos.find(({ id }) => id === chosen) ?? photos[0] ?? null;
  const drawn = (photo && drawings[photo.id]) ?? NOTHING_DRAWN;
  const latest = useRef(0);
  // every picture is read by the same colours, the one at work first; what has not changed is not read again
  useEffect(() => {
    const turn = ++latest.current;
    const readAll = async (): Promise<void> => {
      for (const one of photo ? [photo, ...photos.filter((other) => other !== photo)] : []) {
        const by = { drawn: drawings[one.id] ?? NOTHING_DRAWN, classes };
        if (done.current.get(one.id)?.drawn === by.drawn && done.current.get(one.id)?.classes === classes) continue;
        const read = await readPhoto(one.pixels, optionsOf(by.drawn, classes));
        if (turn !== latest.current) return;
        done.current.set(one.id, by);
        setAll((known) => ({ ...known, [one.id]: read }));
      }
    };
    readAll().catch((error: unknown) => setFaults([error instanceof Error ? error.message : String(error)]));
  }, [photo, photos, drawings, classes]);

  const setDrawn = (next: Drawn) => photo && setDrawings({ ...drawings, [photo.id]: next });
  return {
    photos,
    photo,
    drawn,
    classes,
    read: photo ? (all[photo.id] ?? null) : null,
    all,
    leaves: photos.filter(({ id }) => !showsTrunk(drawings[id] ?? NOTHING_DRAWN)).map(({ id }) => all[id]?.leaf ?? null),
    faults,
    add: (files) => {
      void Promise.allSettled(files.map(loadPhoto)).then((results) => {
        const opened = results.flatMap((result) => (result.status === 'fulfilled' ? [result.value] : []));
        setFaults(results.flatMap((result) => (result.status === 'rejected' ? [(result.reason as Error).message] : [])));
        setPhotos((known) => [...known, ...opened]);
        if (opened[0]) setChosen(opened[0].id);
      });
    },
    choose: setChosen,
    remove: (id) => {
      const gone = photos.find((one) => one.id === id);
      if (gone) URL.revokeObjectURL(gone.url);
      setPhotos(photos.filter((one) => one.id !== id));
      setAll(Object.fromEntries(Object.entries(all).filter(([key]) => key !== id)));
    },
    stroke: (tool, points, classId) => {
      const [first] = points;
      if (tool !== 'colour') setDrawn(drawnWith(drawn, tool, points));
      else if (photo && first && classId) {
        const colour = colourAt(photo.pixels, first);
        const one = classes.find(({ id }) => id === classId);
        if (one) setClasses(changedClass(classes, classId, { on: true, colours: [...one.colours, colour] }));
      }
    },
    clear: () => setDrawn(NOTHING_DRAWN),
    changeClass: (id, change) => setClasses(changedClass(classes, id, change)),
    resetClasses: () => setClasses(START_CLASSES),
  };
}
