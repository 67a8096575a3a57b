import { useEffect, useState } from 'react';
import { styled } from 'styled-components';
import type { PictureView } from '@sounding/contract/api.ts';
import { keptPicture } from '../../store/pictureStore.ts';

const Shown = styled.img`
  display: block;
  max-width: 100%;
  max-height: 120px;
  margin: 2px 0 4px;
  border: 1px solid ${({ theme }) => theme.rule};
`;

/** A picture of the case, from this browser while it is on its way to the record, else from there. */
export function CasePicture({ picture, alt }: { picture: PictureView; alt: string }) {
  const [src, setSrc] = useState<string | null>(null);
  useEffect(() => {
    let url: string | null = null;
    let gone = false;
    void keptPicture(picture.id).then((image) => {
      if (gone) return;
      url = image ? URL.createObjectURL(image) : null;
      setSrc(url ?? `/api/pictures/${picture.id}`);
    });
    return () => {
      gone = true;
      if (url) URL.revokeObjectURL(url);
    };
  }, [picture.id]);
  return src ? (
    <a href={src} target="_blank" rel="noreferrer">
      <Shown src={src} alt={alt} />
    </a>
  ) : null;
}
