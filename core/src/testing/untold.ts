import type { ConsultInput } from '../consult/consult.ts';

/** A call about the small edition's bean, by telephone, of which nothing has been told. */
export const untold: ConsultInput = {
  host: 'bean',
  date: null,
  climate: null,
  hemisphere: 'N',
  setting: 'phone',
  readings: [],
  unanswered: [],
  weather: null,
};
