import { useState } from 'react';
import { styled } from 'styled-components';
import { FileTrigger } from 'react-aria-components';
import { COORDINATOR } from '@sounding/contract/api.ts';
import type { LabelImportView } from '@sounding/contract/labels.ts';
import type { JurisdictionRule, Label } from '@sounding/core/treatment/label.ts';
import { sayDay, sayShortDay } from '../../app/dates.ts';
import { useDesk } from '../../app/routes.tsx';
import {
  problemText,
  useImportLabelsMutation,
  useLabelHistoryQuery,
  useRemoveLabelMutation,
  useRemoveRuleMutation,
  useShedQuery,
  useWriteLabelMutation,
  useWriteRuleMutation,
} from '../../store/api.ts';
import { Button, Notice, TextField } from '../../ui/controls.tsx';
import { Ledger } from '../../ui/ledger.ts';
import { LabelForm, NEW_LABEL } from './LabelForm.tsx';
import { Aside, Crumb, Sheet } from './parts.tsx';

const Table = styled(Ledger)`
  .name {
    font:
      600 18px/1.2 'Alegreya',
      serif;
    white-space: nowrap;
  }
  .no {
    color: ${({ theme }) => theme.chalk};
    font-weight: 600;
  }
  .do {
    white-space: nowrap;
    text-align: right;
    padding-right: 0;
  }
  small {
    color: ${({ theme }) => theme.inkSoft};
  }
`;
const Row = styled.div`
  display: flex;
  gap: 12px;
  align-items: end;
  flex-wrap: wrap;
`;

function state(label: Label, today: string): { say: string; no: boolean } {
  if (label.restricted) return { say: 'licensed people only', no: true };
  if (label.validUntil !== null && label.validUntil < today)
    return { say: `ended ${sayShortDay(label.validUntil)} ${label.validUntil.slice(0, 4)}`, no: true };
  return { say: label.validUntil ? `until ${sayShortDay(label.validUntil)} ${label.validUntil.slice(0, 4)}` : 'no end', no: false };
}

function History({ id }: { id: string }) {
  const { data } = useLabelHistoryQuery(id);
  return (
    <>
      <h2>Step by step</h2>
      {(data ?? []).map((step) => (
        <Aside key={step.revision}>
          {sayDay(step.at)}: {step.removed ? 'taken away' : step.note || 'written'}, {step.by}
        </Aside>
      ))}
    </>
  );
}

function Rules({ rules, may, today, jurisdiction }: { rules: JurisdictionRule[]; may: boolean; today: string; jurisdiction: string }) {
  const [write, writing] = useWriteRuleMutation();
  const [remove] = useRemoveRuleMutation();
  const [forbids, setForbids] = useState('');
  const [reason, setReason] = useState('');
  const [method, setMethod] = useState<NonNullable<JurisdictionRule['method']> | ''>('');
  const add = () => {
    const id = `${forbids} ${method || 'all'}`.toLowerCase().replace(/[^a-z0-9]+/g, '-');
    void write({ rule: { id, jurisdiction, forbids: forbids.trim(), method: method || null, reason: reason.trim(), asOf: today }, note: '' }).then(
      (done) => {
        if (!('error' in done)) {
          setForbids('');
          setReason('');
        }
      },
    );
  };
  return (
    <>
      <h2>What the law of {jurisdiction || 'this place'} forbids</h2>
      <Aside>Only as good as its date. An active ingredient or a mode-of-action group; altogether, or in one way of use.</Aside>
      <Table>
        <tbody>
          {rules.map((rule) => (
            <tr key={rule.id}>
              <td>
                <b>{rule.forbids}</b> {rule.method ?? 'altogether'}
              </td>
              <td>{rule.reason}</td>
              <td>as of {sayDay(rule.asOf)}</td>
              <td>
                {may && (
                  <Button weight="quiet" onPress={() => void remove(rule.id)}>
                    Take away
                  </Button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
      {rules.length === 0 && <Notice>No rules are kept.</Notice>}
      {may && (
        <Row>
          <TextField label="forbids (ingredient or group)" value={forbids} onChange={setForbids} />
          <label>
            <select aria-label="way of use" value={method} onChange={(event) => setMethod(event.target.value as typeof method)}>
              <option value="">altogether</option>
              {['spray', 'drench', 'granules', 'paint'].map((m) => (
                <option key={m}>{m}</option>
              ))}
            </select>
          </label>
          <TextField label="because" value={reason} onChange={setReason} />
          <Button isDisabled={forbids.trim() === '' || reason.trim() === ''} onPress={add}>
            Add the rule
          </Button>
          {writing.error !== undefined && (
            <Notice $tone="danger" role="alert">
              {problemText(writing.error)}
            </Notice>
          )}
        </Row>
      )}
    </>
  );
}

/** The desk's own products by their labels: what may be measured out here, until when, and what the law of the place forbids. */
export function LabelsPage() {
  const session = useDesk();
  const { data: shed, error } = useShedQuery();
  const [open, setOpen] = useState<string | null>(null);
  const [writeLabel, writing] = useWriteLabelMutation();
  const [removeLabel] = useRemoveLabelMutation();
  const [bring, bringing] = useImportLabelsMutation();
  const [file, setFile] = useState<{ text: string; format: 'csv' | 'json'; view: LabelImportView } | null>(null);
  const may = session.person.role === COORDINATOR;
  const today = session.desk.today;
  if (!shed)
    return (
      <Sheet>
        {error ? (
          <Notice $tone="danger" role="alert">
            {problemText(error)}
          </Notice>
        ) : (
          <Notice>Opening the shed …</Notice>
        )}
      </Sheet>
    );
  const shown = shed.labels.find(({ label }) => label.id === open)?.label ?? (open === 'new' ? { ...NEW_LABEL, validFrom: today } : null);
  const save = (label: Label, note: string) =>
    void writeLabel({ label, note }).then((done) => {
      if (!('error' in done)) setOpen(null);
    });
  const read = async (files: FileList | null) => {
    const one = files?.[0];
    if (!one) return;
    const format = one.name.endsWith('.json') ? ('json' as const) : ('csv' as const);
    const text = await one.text();
    const done = await bring({ text, format, apply: false });
    if (!('error' in done) && done.data) setFile({ text, format, view: done.data });
  };
  if (shown)
    return (
      <Sheet>
        <Crumb to="/library">Library</Crumb>
        <h1>{open === 'new' ? 'A new label' : shown.name}</h1>
        {may ? (
          <LabelForm
            key={shown.id}
            label={shown}
            known={open !== 'new'}
            refused={writing.error === undefined ? null : problemText(writing.error)}
            onSave={save}
            onCancel={() => setOpen(null)}
          />
        ) : (
          <>
            {shown.uses.map((use) => (
              <p key={use.id}>“{use.line}”</p>
            ))}
            <Button onPress={() => setOpen(null)}>Back to the labels</Button>
          </>
        )}
        {open !== 'new' && <History id={shown.id} />}
      </Sheet>
    );
  return (
    <Sheet>
      <Crumb to="/library">Library</Crumb>
      <h1>Labels in the shed</h1>
      <Aside>The label is the law: no amount leaves this desk that a label does not allow.</Aside>
      <Table>
        <thead>
          <tr>
            <th>Product</th>
            <th>Active ingredient</th>
            <th>Signal word</th>
            <th>Uses</th>
            <th>State</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {shed.labels.map(({ label }) => {
            const { say, no } = state(label, today);
            return (
              <tr key={label.id}>
                <td className="name">{label.name}</td>
                <td>
                  {label.actives.map(({ name, concentration, group }) => (
                    <div key={name}>
                      {name} <small>{concentration}</small> <small>{group}</small>
                    </div>
                  ))}
                </td>
                <td>{label.signalWord.word}</td>
                <td>{label.uses.map(({ id }) => id).join(', ')}</td>
                <td className={no ? 'no' : ''}>{say}</td>
                <td className="do">
                  <Button weight="quiet" aria-label={`${may ? 'Change' : 'Read'} ${label.name}`} onPress={() => setOpen(label.id)}>
                    {may ? 'Change' : 'Read'}
                  </Button>
                  {may && (
                    <Button weight="quiet" aria-label={`Take ${label.name} away`} onPress={() => void removeLabel(label.id)}>
                      Take away
                    </Button>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </Table>
      <Row>
        {may && <Button onPress={() => setOpen('new')}>New label</Button>}
        {may && (
          <FileTrigger acceptedFileTypes={['.csv', '.json']} onSelect={(files) => void read(files)}>
            <Button>Bring in a file</Button>
          </FileTrigger>
        )}
        <a href="/api/shed/export.csv">All as CSV</a>
        <a href="/api/shed/export.json">All as JSON</a>
        {!may && <Notice>Only the coordinator writes labels.</Notice>}
      </Row>
      {bringing.error !== undefined && (
        <Notice $tone="danger" role="alert">
          {problemText(bringing.error)}
        </Notice>
      )}
      {file && (
        <section aria-label="The file">
          <h2>The file</h2>
          {file.view.labels.map(({ id, name, what }) => (
            <p key={id}>
              {name}: {what === 'same' ? 'as it is' : what}
            </p>
          ))}
          {file.view.faults.map(({ where, detail }) => (
            <Notice key={where + detail} $tone="danger" role="alert">
              {where}: {detail}
            </Notice>
          ))}
          <Row>
            <Button
              weight="act"
              isDisabled={file.view.faults.length > 0}
              onPress={() => void bring({ text: file.text, format: file.format, apply: true }).then(() => setFile(null))}
            >
              Take them over
            </Button>
            <Button weight="quiet" onPress={() => setFile(null)}>
              Leave it
            </Button>
          </Row>
        </section>
      )}
      <Rules rules={shed.rules.map(({ rule }) => rule)} may={may} today={today} jurisdiction={shed.jurisdiction} />
    </Sheet>
  );
}
