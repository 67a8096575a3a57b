import type { Cause } from './causes.ts';
import type { HostSelector } from './plants.ts';

type Hosts = Cause['hosts'];

/** What stands before a name that is no plant's own. */
const SIGNS = { genus: 'G:', family: 'F:', group: 'R:', any: '*' } as const;
const KIND = /^(G:|F:|R:|\*)?(.*)$/;

function lineOf(host: HostSelector & { weight?: number }): string {
  const weight = host.weight === undefined ? '' : ` ${host.weight}`;
  if ('any' in host) return SIGNS.any + weight;
  if ('plant' in host) return host.plant + weight;
  if ('genus' in host) return SIGNS.genus + host.genus + weight;
  return ('family' in host ? SIGNS.family + host.family : SIGNS.group + host.group) + weight;
}

function fromLine(line: string): HostSelector & { weight?: number } {
  const [named = '', weight] = line.split(' ');
  const [, sign, name = ''] = KIND.exec(named) ?? [];
  const host: HostSelector =
    sign === SIGNS.any
      ? { any: true }
      : sign === SIGNS.genus
        ? { genus: name }
        : sign === SIGNS.family
          ? { family: name }
          : sign === SIGNS.group
            ? { group: name }
            : { plant: name };
  return weight === undefined ? host : { ...host, weight: Number(weight) };
}

const linesOf = (text: string): string[] => (text === '' ? [] : text.split(','));

/** True for what a line can hold: no note, and a name without the signs between them. */
const fits = (host: HostSelector & { weight?: number; note?: string }): boolean =>
  Object.keys(host).length <= 2 &&
  host.note === undefined &&
  ('any' in host || /^[\p{L}\d-]+$/u.test(Object.values(host).find((value) => typeof value === 'string') ?? ''));

/** The hosts of a cause in one line, "fig 1.8,G:Malus .4!R:houseplant": behind the "!" those that are none; as they are where one carries more than that. */
export const packHosts = (hosts: Hosts): string | Hosts =>
  [...hosts.include, ...hosts.exclude].every(fits)
    ? [hosts.include, ...(hosts.exclude.length > 0 ? [hosts.exclude] : [])].map((some) => some.map(lineOf).join(',')).join('!')
    : hosts;

export function unpackHosts(packed: string | Hosts): Hosts {
  if (typeof packed !== 'string') return packed;
  const [include = '', exclude = ''] = packed.split('!');
  return { include: linesOf(include).map(fromLine) as Hosts['include'], exclude: linesOf(exclude).map(fromLine) };
}
