import { textAt, useBuilding } from '../../document/context';
import { DocumentForm } from '../../document/form/DocumentForm';

/** How the building is cut, where it is. */
export function ReliefFigures() {
  const { state, derived } = useBuilding();
  if (textAt(state.document, 'relief.school') === '') {
    return (
      <>
        <h2>Low relief</h2>
        <p className="quiet mb-0">
          The building is modelled whole. Type a depth and take one of the five ways of cutting it; walls, roofs, papers
          and sheets follow.
        </p>
      </>
    );
  }
  const remarks = derived?.kit.checks.filter((check) => check.code.startsWith('relief.')) ?? [];
  return (
    <>
      <h2>Low relief</h2>
      <DocumentForm form="relief" path="relief" />
      {remarks.length > 0 && (
        <ul className="mt-2">
          {remarks.map((check, i) => (
            <li key={i}>{check.text}</li>
          ))}
        </ul>
      )}
    </>
  );
}
