/** First words that are names themselves: "Dutch elm disease", "St John's wort". */
const PROPER =
  /^(?:African|American|Asian|Brussels|Cape|Carolina|Chinese|Christmas|Colorado|Dutch|Dutchman[’']s|European|Indian|Japanese|Jerusalem|Mexican|Natal|New Zealand|Norfolk|Panama|Peruvian|Spanish|St|Texas|Virginia|ZZ)\b/;

/** The name of a plant or cause as it stands within a sentence: "japanese beetle" is no way to write to anybody. */
export const inSentence = (name: string): string => (PROPER.test(name) ? name : name.charAt(0).toLowerCase() + name.slice(1));
