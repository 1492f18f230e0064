import { DocumentForm } from './form/DocumentForm';

/** All that is said of a kind of opening. Every opening of the kind follows. */
export function KindFields({ id, name }: { id: string; name: string }) {
  return <DocumentForm form="style" path={`styles.${id}`} usual={{ name }} />;
}
