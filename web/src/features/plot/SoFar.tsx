import { useId } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { Edit, Json } from '../../api/types';
import { entriesAt } from '../../document/entries';
import { textAt, useBuilding } from '../../document/context';

const STEPS: Record<string, string> = {
  margins: 'margins shorter',
  piers: 'piers shorter',
  shorten: 'blank stretches shorter',
  spread: 'spread over margins and piers',
  bays: 'bays fewer',
  courses: 'courses lower',
  lengths: 'times as long, openings too',
  storey: 'left out, a storey',
  factor: 'everything smaller',
  omit: 'left out',
};

export const put = (next: Json[]): Edit => ({ op: 'set', path: 'compression.steps', value: next });

/** The steps taken, each to be switched off or taken back. */
export function SoFar() {
  const { state, derived, drawn, save } = useBuilding();
  const id = useId();
  const steps = entriesAt(state.document, 'compression.steps');
  const blocks = drawn?.plan.blocks ?? [];
  // As the remarks on the kit say it, in the person’s own names.
  const said = (at: number) =>
    derived?.kit.checks
      .find((check) => check.code === 'compress.given-up' && check.at === `compression.steps.${at}`)
      ?.text.replace(/^Given up: /, '');
  return (
    <>
      <h3 className="mt-3">Given up so far</h3>
      {steps.length === 0 ? (
        <p className="quiet">Nothing: the building is modelled as it is.</p>
      ) : (
        <ul className="given-up">
          {steps.map((one, i) => {
            const isOff = one.off === true;
            const words = [
              blocks.find((block) => block.id === textAt(one, 'block'))?.name ?? textAt(one, 'block'),
              textAt(one, 'edge'),
              textAt(one, 'storey'),
              textAt(one, 'count'),
              STEPS[textAt(one, 'op')] ?? textAt(one, 'op'),
              textAt(one, 'by') === '' ? '' : `by ${textAt(one, 'by')}`,
            ];
            return (
              <li key={i} className={isOff ? 'off' : undefined}>
                <Form.Check
                  type="switch"
                  id={`${id}-${i}`}
                  checked={!isOff}
                  label={(isOff ? undefined : said(i)) ?? words.filter((word) => word !== '').join(' ')}
                  onChange={() => save([{ op: 'set', path: `compression.steps.${i}.off`, value: isOff ? null : true }])}
                />
                <Button
                  size="sm"
                  variant="outline-secondary"
                  onClick={() => save([put(steps.filter((_one, k) => k !== i).map((rest) => rest as Json))])}
                >
                  Take it back
                </Button>
              </li>
            );
          })}
        </ul>
      )}
    </>
  );
}
