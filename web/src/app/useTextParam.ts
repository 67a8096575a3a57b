import { useState } from 'react';
import { NavigationType, useNavigationType, useSearchParams } from 'react-router';

/**
 * The text of a search field that stands in the address too, so that it can be come back to. It is in the field at once: an address changes too slowly
 * to be typed into. Other parameters, such as the page, go when it changes.
 */
export function useTextParam(name: string): [text: string, write: (text: string) => void] {
  const [params, setParams] = useSearchParams();
  const how = useNavigationType();
  const address = params.get(name) ?? '';
  const [text, setText] = useState(address);
  const [known, setKnown] = useState(address);
  if (address !== known) {
    setKnown(address);
    // what is typed here replaces the address; anything else is somebody going back, forth or elsewhere
    if (how !== NavigationType.Replace) setText(address);
  }
  const write = (next: string) => {
    setText(next);
    setParams(next ? { [name]: next } : {}, { replace: true });
  };
  return [text, write];
}
