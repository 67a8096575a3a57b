import type { ComplaintView } from '@sounding/contract/api.ts';
import { Notice } from '../../ui/controls.tsx';
import { Lines } from './parts.tsx';

const SHOWN = 30;

/** The faults a refused write came back with, as the lint's complaints. */
export function faultsOf(error: unknown): ComplaintView[] {
  const faults = (error as { data?: { errors?: { pointer: string; detail: string }[] } } | undefined)?.data?.errors ?? [];
  return faults.map(({ pointer, detail }) => {
    const [, file = pointer, line = '1'] = /^(.*):(\d+)$/.exec(pointer) ?? [];
    return { file, line: Number(line), level: 'error', text: detail };
  });
}

interface Props {
  complaints: readonly ComplaintView[];
  /** Whether it has answered. */
  asked: boolean;
  /** Whether it is reading now. */
  isTrying: boolean;
}

/** What the lint has to say, with file and line. */
export function Complaints({ complaints, asked, isTrying }: Props) {
  if (isTrying)
    return <Notice role="status">It reads the whole library with these words; that takes some seconds. Calls are taken meanwhile.</Notice>;
  if (complaints.length === 0)
    return asked ? <Notice role="status">The lint finds nothing wrong.</Notice> : <Notice>It answers when you save.</Notice>;
  return (
    <Lines aria-label="What the lint says">
      {complaints.slice(0, SHOWN).map((complaint) => (
        <li key={`${complaint.file}${complaint.line}${complaint.text}`}>
          {complaint.level === 'error' ? <b>error</b> : 'warning'}: {complaint.text}
          <br />
          <small>
            {complaint.file}, line {complaint.line}
          </small>
        </li>
      ))}
      {complaints.length > SHOWN && <li>and {complaints.length - SHOWN} more</li>}
    </Lines>
  );
}
