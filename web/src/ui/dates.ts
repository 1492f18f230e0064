const DAY_MS = 24 * 60 * 60 * 1000;

/** “today, 16:20”, “28 November, 16:20”; the year where it is another, all as the person’s own system writes it. */
export function whenOf(iso: string, now = new Date()): string {
  const at = new Date(iso);
  const time = at.toLocaleTimeString(undefined, { hour: 'numeric', minute: '2-digit' });
  const midnight = new Date(now.getFullYear(), now.getMonth(), now.getDate()).getTime();
  if (at.getTime() >= midnight && at.getTime() < midnight + DAY_MS) return `today, ${time}`;
  if (at.getTime() >= midnight - DAY_MS && at.getTime() < midnight) return `yesterday, ${time}`;
  const year = at.getFullYear() === now.getFullYear() ? {} : { year: 'numeric' as const };
  return `${at.toLocaleDateString(undefined, { day: 'numeric', month: 'long', ...year })}, ${time}`;
}

/** This day as documents write it, by the person’s own clock. */
export function today(now = new Date()): string {
  const two = (number: number) => String(number).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}
