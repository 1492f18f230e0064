import type { FormField, Json } from '../../api/types';
import { asText, valueAt } from '../context';

/** What values by names are called, by what they are of. */
export type Names = Record<string, readonly string[]>;

/** Whether a form asks for a field now: what it hangs on says so, and nothing stands in its place. */
export function isAsked(field: FormField, among: readonly FormField[], document: unknown, path: string): boolean {
  const said = (key: string) => valueAt(document, `${path}.${key}`);
  if (field.where_said === true && said(field.key) === undefined) return false;
  if (field.instead_of !== undefined && said(field.instead_of) !== undefined && said(field.key) === undefined)
    return false;
  const { when } = field;
  if (when === undefined || (when.offer === true && said(field.key) !== undefined)) return true;
  const other = among.find(({ key }) => key === when.key);
  return when.values.includes(asText(said(when.key)) || asText(other?.usual));
}

/** As it is called now: otherwise than usual beside a field that is said. */
export function calledNow(field: FormField, document: unknown, path: string): FormField {
  const { beside } = field;
  return beside === undefined || valueAt(document, `${path}.${beside.key}`) === undefined
    ? field
    : { ...field, label: beside.label };
}

/** Fields that follow one another under one heading, with it; '' for those that lie open. */
export function labelled(fields: readonly FormField[]): { under: string; some: FormField[] }[] {
  const all: { under: string; some: FormField[] }[] = [];
  for (const field of fields) {
    const under = field.under ?? '';
    const last = all.at(-1);
    if (last?.under === under) last.some.push(field);
    else all.push({ under, some: [field] });
  }
  return all;
}

/** A list with another value at one of its places. */
export function withAt(list: readonly Json[], at: number, value: Json): Json[] {
  return list.map((one, i) => (i === at ? value : one));
}

/** A list of plain values; none where it is something else. */
export function listOf(value: unknown): Json[] {
  return Array.isArray(value) ? (value as Json[]) : [];
}
