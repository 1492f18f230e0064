import { useMutation } from '@tanstack/react-query';
import { type ReactNode, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { ApiError, api } from '../../api/client';
import type { Json, View } from '../../api/types';
import { useBuilding } from '../../document/context';
import { entriesAt, freeId } from '../../document/entries';
import { DocumentForm } from '../../document/form/DocumentForm';
import { FileButton } from '../../ui/FileButton';

type OwnPaper = View['skin']['papers'][number];

interface Sent {
  sha256: string;
  pixels: [number, number];
  mm_per_pixel: [number, number];
  tone: string;
}

const LONGEST_NAME = 60;

/** Scans and photographs of papers: how large they are, and how they come out where they are used. */
export function OwnPapers({ papers, children }: { papers: readonly OwnPaper[]; children: ReactNode }) {
  const [chosen, setChosen] = useState('');
  // One that was missing may have come with the same name.
  const [round, setRound] = useState(0);
  const paper = papers.find((one) => one.id === chosen) ?? papers[0];
  return (
    <>
      <section className="sheet" aria-label="Drawing">
        <div className="d-flex flex-wrap justify-content-between gap-2">
          <h2>Papers of your own</h2>
          {children}
        </div>
        <Send onSent={setChosen} />
        {papers.length === 0 ? (
          <p>
            Scan or photograph a paper you have: bricks, stone, slates, a poster. Say how much so many of its courses
            measure, and it is printed so that they meet those of the building.
          </p>
        ) : (
          <div className="own-papers" role="group" aria-label="Papers">
            {papers.map((one) => (
              <button
                key={one.id}
                type="button"
                aria-pressed={one === paper}
                onClick={() => setChosen(one.id)}
                aria-label={one.name}
              >
                <Scan key={round} paper={one} alt="" />
                <span>{one.name}</span>
              </button>
            ))}
          </div>
        )}
        {paper !== undefined && <Scan key={round} paper={paper} alt={`${paper.name}, as it was scanned`} isLarge />}
      </section>
      {paper !== undefined && <Figures paper={paper} onReplaced={() => setRound(round + 1)} />}
    </>
  );
}

function Scan({ paper, alt, isLarge = false }: { paper: OwnPaper; alt: string; isLarge?: boolean }) {
  const { state } = useBuilding();
  const [isGone, setGone] = useState('');
  if (isGone === paper.sha256) {
    return <span className="remark">The picture of “{paper.name}” is not here. Choose it again.</span>;
  }
  return (
    <img
      className={isLarge ? 'paper-view' : undefined}
      src={`/api/buildings/${state.id}/pictures/${paper.sha256}.jpg`}
      alt={alt}
      onError={() => setGone(paper.sha256)}
    />
  );
}

function Figures({ paper, onReplaced }: { paper: OwnPaper; onReplaced: () => void }) {
  const { save } = useBuilding();
  return (
    <aside className="sheet" aria-label="Figures">
      <h2>{paper.name}</h2>
      <p className="quiet">{paper.size}</p>
      <DocumentForm form="paper" path={paper.path} show={(field) => field.key !== 'id'} />
      {paper.uses.length === 0 ? (
        <p className="quiet">It lies on nothing yet: choose it for a wall or a roof, or for a part of a wall.</p>
      ) : (
        <ul className="list-unstyled">
          {paper.uses.map((use) => (
            <li key={use.words}>
              <b>On {use.words}</b>: {use.printed}
            </li>
          ))}
        </ul>
      )}
      <Replace paper={paper} onReplaced={onReplaced} />
      <Button
        size="sm"
        variant="outline-secondary"
        className="mt-2"
        onClick={() =>
          save([
            ...paper.named.map((path) => ({ op: 'set' as const, path, value: null })),
            { op: 'set', path: paper.path, value: null },
          ])
        }
      >
        Take this paper out
      </Button>
    </aside>
  );
}

/** Where its picture is missing, or was scanned anew. */
function Replace({ paper, onReplaced }: { paper: OwnPaper; onReplaced: () => void }) {
  const { save } = useBuilding();
  const set = (key: string, value: Json) => ({ op: 'set' as const, path: `${paper.path}.${key}`, value });
  return (
    <Sending
      label={`Another picture of ${paper.name}`}
      words="Another picture of it …"
      onSent={(sent) => {
        onReplaced();
        save([
          set('sha256', sent.sha256),
          set('pixels', sent.pixels),
          set('mm_per_pixel', sent.mm_per_pixel),
          set('tone', sent.tone),
        ]);
      }}
    />
  );
}

function Send({ onSent }: { onSent: (id: string) => void }) {
  const { state, save } = useBuilding();
  return (
    <Sending
      label="Picture of a paper of your own"
      words="Add a paper …"
      onSent={(sent, file) => {
        const id = freeId(entriesAt(state.document, 'papers'), 'p');
        const name = file.name.replace(/\.[^.]*$/, '').slice(0, LONGEST_NAME) || 'Paper';
        save([{ op: 'set', path: `papers.=${id}`, value: { id, name, ...sent } }]);
        onSent(id);
      }}
    />
  );
}

interface SendingProps {
  label: string;
  words: string;
  onSent: (sent: Sent, file: File) => void;
}

function Sending({ label, words, onSent }: SendingProps) {
  const { state } = useBuilding();
  const send = useMutation({
    mutationFn: async (file: File) => {
      const form = new FormData();
      form.append('picture', file);
      return (await api.post<{ picture: Sent }>(`buildings/${state.id}/pictures`, form)).picture;
    },
    onSuccess: onSent,
  });
  const problems = send.error instanceof ApiError ? send.error.problems.map((one) => one.text).join('; ') : '';
  return (
    <div>
      <FileButton
        label={label}
        accept=".jpg,.jpeg,.png,.webp,image/jpeg,image/png,image/webp"
        disabled={send.isPending}
        onFile={(file) => send.mutate(file)}
      >
        {send.isPending ? 'Taking it in …' : words}
      </FileButton>
      {send.error !== null && (
        <div role="alert" className="remark remark-stop">
          {problems === '' ? send.error.message : `Not taken in: ${problems}.`}
        </div>
      )}
    </div>
  );
}
