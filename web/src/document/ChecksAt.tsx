import { useBuilding } from './context';

/** What a practitioner would remark on, of the things whose names end so. */
export function ChecksAt({ at }: { at: string[] }) {
  const { derived } = useBuilding();
  return (
    <>
      {/* What is said of each of a row is said once. */}
      {derived?.kit.checks
        .filter((check) => at.some((end) => check.at.endsWith(end)))
        .filter((check, i, all) => all.findIndex((other) => other.text === check.text) === i)
        .map((check) => (
          <div key={`${check.code} ${check.at}`} className={`remark ${check.level === 'stop' ? 'remark-stop' : ''}`}>
            {check.text}
          </div>
        ))}
    </>
  );
}
