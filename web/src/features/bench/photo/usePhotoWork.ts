import { useEffect, useMemo, useRef, useState } from 'react';
import type { ColourClass } from '@sounding/core/photo/classes.ts';
import type { Point } from '@sounding/core/photo/mask.ts';
import { readPhoto } from '../../../engine/photo.ts';
import type { Read } from '../../../engine/photo.worker.ts';
import { loadPhoto, type LoadedPhoto } from './loadPhoto.ts';
import { changedClass, colourAt, drawnWith, NOTHING_DRAWN, optionsOf, START_CLASSES, type Drawn, type Tool } from './photoState.ts';

export interface PhotoWork {
  photos: readonly LoadedPhoto[];
  photo: LoadedPhoto | null;
  drawn: Drawn;
  classes: readonly ColourClass[];
  /** What was read from the picture at work; null while it is being read. */
  read: Read | null;
  /** What was read last from each picture, for the mean over all. */
  all: Readonly<Record<string, Read>>;
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
  const [faults, setFaults] = useState<readonly string[]>([]);
  const photo = photos.find(({ id }) => id === chosen) ?? photos[0] ?? null;
  const drawn = (photo && drawings[photo.id]) ?? NOTHING_DRAWN;
  const options = useMemo(() => optionsOf(drawn, classes), [drawn, classes]);
  const latest = useRef(0);
  useEffect(() => {
    if (!photo) return;
    const turn = ++latest.current;
    void readPhoto(photo.pixels, options).then(
      (read) => {
        if (turn === latest.current) setAll((known) => ({ ...known, [photo.id]: read }));
      },
      (error: unknown) => setFaults([error instanceof Error ? error.message : String(error)]),
    );
  }, [photo, options]);

  const setDrawn = (next: Drawn) => photo && setDrawings({ ...drawings, [photo.id]: next });
  return {
    photos,
    photo,
    drawn,
    classes,
    read: photo ? (all[photo.id] ?? null) : null,
    all,
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
