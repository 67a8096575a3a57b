import 'styled-components';
import type { Theme } from './tokens.ts';

declare module 'styled-components' {
  // eslint-disable-next-line @typescript-eslint/no-empty-object-type -- the library asks for an interface to merge
  export interface DefaultTheme extends Theme {}
}
