import type { Json } from '../api/types';

/** The kinds of opening that a document describes, by id, and what a person calls them. */
export function kindsOf(document: { [key: string]: Json | undefined }): [string, string][] {
  const styles = document.styles;
  if (styles === null || typeof styles !== 'object' || Array.isArray(styles)) return [];
  return Object.entries(styles).map(([id, style]) => [id, nameOf(id, style)]);
}

function nameOf(id: string, style: Json | undefined): string {
  const name =
    style !== null && typeof style === 'object' && !Array.isArray(style) && typeof style.name === 'string'
      ? style.name.trim()
      : '';
  return name === '' ? id.replaceAll('-', ' ') : name;
}
