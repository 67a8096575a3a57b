import { workerData } from 'piscina';
import { workshopHere } from './workshop.ts';

// the thread of `workshopApart`: its jobs are called by these names
export const { compile, tryOut, text, shippedEntry, differing } = workshopHere(workerData as string);
