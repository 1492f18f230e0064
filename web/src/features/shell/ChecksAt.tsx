import { useBuilding } from '../../document/context';

/** What a practitioner would remark on, of the things whose names end so. */
export function ChecksAt({ at }: { at: string[] }) {
  const { derived } = useBuilding();
  return (
    <>
      {derived?.kit.checks
        .filter((check) => at.some((end) => check.at.endsWith(end)))
        .map((check) => (
          <div key={check.code} className={`remark ${check.level === 'stop' ? 'remark-stop' : ''}`}>
            {check.text}
          </div>
        ))}
    </>
  );
}
