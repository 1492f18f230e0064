import { useQuery } from '@tanstack/react-query';
import { formsOptions } from '../api/options';
import type { FormKind } from '../api/types';

/** The kinds of things that may stand on any of these, of a block or of the plot; none while nobody knows them yet. */
export function useKindsAt(form: 'things' | 'things-of-the-plot', anchors: readonly string[]): FormKind[] {
  const forms = useQuery(formsOptions());
  const list = forms.data?.[form]?.find(({ key }) => key === 'features');
  return (list?.holds.kinds ?? []).filter((kind) => kind.anchors?.some((anchor) => anchors.includes(anchor)));
}

/** Whether a kind stands on it first of all, so that nothing has to be said of that. */
export const isFirst = (kind: FormKind, anchor: string) => kind.anchors?.[0] === anchor;
