import { useEffect, useState } from 'react';
import { useSearchParams } from 'react-router';

/** Typing that rests for so long has its words in the address. */
const REST_MS = 200;

/**
 * The text of a search field that stands in the address too, so that it can be come back to. It is in the field at once: an address changes too slowly
 * to be typed into. Other parameters, such as the page, go when it changes.
 */
export function useTextParam(name: string): [text: string, write: (text: string) => void] {
  const [params, setParams] = useSearchParams();
  const address = params.get(name) ?? '';
  const [text, setText] = useState(address);
  const [known, setKnown] = useState(address);
  /** What was put there from here: where it changes to anything else, somebody went back or forth. */
  const [written, setWritten] = useState(address);
  if (address !== known) {
    setKnown(address);
    if (address !== written) setText(address);
  }
  useEffect(() => {
    if (text === address) return;
    const timer = setTimeout(() => {
      setWritten(text);
      setParams(text ? { [name]: text } : {}, { replace: true });
    }, REST_MS);
    return () => clearTimeout(timer);
  }, [text, address, name, setParams]);
  return [text, setText];
}
