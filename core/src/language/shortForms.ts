/** Answers written with a letter: "webs? n". */
const LETTER = /([?:]\s*)([yn])(?=\s*(?:[.,;]|$))/gi;
/** A question with both answers behind it: "webs y/n?" */
const BOTH = /\s*\by\/n\b\s*\??/gi;

/** What people say while they look for the next word: the commas round it part nothing, but for a yes or no before it and a new statement behind. */
const FILLER =
  /(?<!\b(?:yes|yeah|yep|no|nope|nah|none|nothing|never)\s*),\s*(?:u[hm]+|er+m?|a+h+|you know|you see|i mean|like|well|actually|basically|honestly|let me see|how do you say)\s*,(?!\s*(?:the|there|there's|they|they're|these|those|it|it's|its|my|our|i|we|and|but|no|not)\b)\s*/gi;

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\/]/g, '\\$&');

/** Writes out what an advisor wrote for short: "brn spots w/o halo on lvs". */
export class ShortForms {
  private readonly pattern: RegExp | null;

  constructor(private readonly forms: Readonly<Record<string, string>>) {
    const all = Object.keys(forms)
      .sort((a, b) => b.length - a.length)
      .map(escaped);
    this.pattern = all.length === 0 ? null : new RegExp(`(?<![\\p{L}\\d'’&/+])(${all.join('|')})(?![\\p{L}\\d'’&/+])(\\.(?=\\s+(\\S)))?`, 'giu');
  }

  writtenOut(text: string): string {
    const said = text
      .replace(FILLER, ' ')
      .replace(BOTH, '?')
      .replace(LETTER, (_, before: string, letter: string) => before + (letter.toLowerCase() === 'y' ? 'yes' : 'no'));
    if (!this.pattern) return said;
    return said.replace(this.pattern, (_, form: string, point: string | undefined, next: string | undefined) => {
      // a point behind a short form ends no sentence that goes on in small letters
      const ends = point !== undefined && next !== undefined && /[\p{Lu}]/u.test(next);
      return (this.forms[form.toLowerCase()] ?? form) + (ends ? '.' : '');
    });
  }
}
