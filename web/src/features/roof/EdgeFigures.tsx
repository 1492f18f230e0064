import { useId, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { EdgeKind, PlanEdge } from '../../api/types';
import { SelectField } from '../../ui/SelectField';
import { AsBuilt } from '../../document/AsBuilt';
import { useBuilding } from '../../document/context';

const KINDS = [
  ['hip', 'a slope rises from it'],
  ['gable', 'gable'],
  ['half-hip', 'half-hip'],
  ['wall', 'stands against another block'],
] as const;

/** What the roof does over one edge. */
export function EdgeFigures({ edge, onDone }: { edge: PlanEdge; onDone: () => void }) {
  const { state, save, units } = useBuilding();
  const faults = state.faults.filter((fault) => fault.go.stage === 'roof' && fault.go.block === edge.block);
  const set = (change: { kind?: EdgeKind; pitch?: number | null; overhang?: string | null; from?: string | null }) =>
    save([{ op: 'roof-edge', block: edge.block, edge: edge.name, ...change }]);
  return (
    <>
      <h2>Over the edge {edge.name}</h2>
      <SelectField
        label="the roof"
        value={edge.roof}
        choices={KINDS}
        onChange={(kind) => set({ kind: kind as EdgeKind })}
      />
      {edge.roof === 'wall' && (
        <p className="quiet">
          Another block stands here. The roof runs on over this edge until it dies into that block’s, so neither a slope
          nor a gable of its own is wanted; choose one all the same, and it ends here.
        </p>
      )}
      {(edge.roof === 'hip' || edge.roof === 'half-hip') && (
        <Entry
          label="pitch of its own"
          value={edge.pitch}
          onEnter={(text) => set({ pitch: text === '' ? null : Number(text.replace('°', '')) })}
        />
      )}
      {edge.roof === 'half-hip' && (
        <Entry label="begins above the eaves" value="" onEnter={(text) => set({ from: text === '' ? null : text })} />
      )}
      {edge.roof !== 'wall' && (
        <Entry
          label="overhang of its own"
          value={edge.overhang[units]}
          onEnter={(text) => set({ overhang: text === '' ? null : text })}
        />
      )}
      {faults.map((fault) => (
        <div key={fault.path + fault.code} className="remark remark-stop" role="alert">
          {fault.where}: {fault.says[units]}
        </div>
      ))}
      <p className="quiet">Leave a figure empty and it is again what the whole roof has.</p>
      <AsBuilt edge={edge} of={['up', 'along']} />
      <Button variant="outline-secondary" size="sm" onClick={onDone}>
        The whole roof
      </Button>
    </>
  );
}

/** A figure that is sent when it is left; the server says what is wrong with it. */
function Entry({ label, value, onEnter }: { label: string; value: string; onEnter: (text: string) => void }) {
  const id = useId();
  const [text, setText] = useState<string | null>(null);
  const commit = () => {
    if (text !== null && text !== value) onEnter(text.trim());
    setText(null);
  };
  return (
    <div className="field-row">
      <Form.Label htmlFor={id}>{label}</Form.Label>
      <Form.Control
        id={id}
        value={text ?? value}
        onChange={(event) => setText(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          event.stopPropagation();
          if (event.key === 'Enter') commit();
        }}
      />
    </div>
  );
}
