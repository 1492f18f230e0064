import type { Problem } from './types';

/** An answer that is not the one asked for: its status, its sentence, and problems by path. Status 0: no answer at all. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly problems: Problem[],
    readonly body: unknown,
  ) {
    super(message);
  }
}

interface FaultBody {
  message?: string;
  problems?: Problem[];
  errors?: Record<string, string[]>;
}

function csrfToken(): string {
  const match = /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie);
  return match?.[1] === undefined ? '' : decodeURIComponent(match[1]);
}

function problemsOf(body: FaultBody): Problem[] {
  if (body.problems !== undefined) return body.problems;
  return Object.entries(body.errors ?? {}).map(([path, texts]) => ({ path, code: 'invalid', text: texts.join(' ') }));
}

/** For whom this tab works; the server does not listen to it where somebody else has signed in meanwhile. */
let person: number | null = null;

export function workFor(id: number | null): void {
  person = id;
}

/** The server is busy with what this person asked for before; so often is it asked again, after as long as it says. */
const MOST_TURNS = 10;
const LONGEST_TURN_S = 2;

async function answer(method: string, url: string, data: unknown, turn = 1): Promise<Response> {
  let response: Response;
  const isForm = data instanceof FormData;
  try {
    response = await fetch(`/api/${url}`, {
      method,
      headers: {
        Accept: 'application/json',
        'X-XSRF-TOKEN': csrfToken(),
        ...(isForm ? {} : { 'Content-Type': 'application/json' }),
        ...(person === null ? {} : { 'X-Chartula-Person': String(person) }),
      },
      ...(data === undefined ? {} : { body: isForm ? data : JSON.stringify(data) }),
    });
  } catch {
    throw new ApiError(0, 'Chartula does not answer. Is it still running?', [], null);
  }
  const wait = Number(response.headers.get('Retry-After') ?? LONGEST_TURN_S + 1);
  if (response.status !== 429 || wait > LONGEST_TURN_S || turn === MOST_TURNS) return response;
  await new Promise((resolve) => setTimeout(resolve, wait * 1000));
  return answer(method, url, data, turn + 1);
}

async function request<T>(method: string, url: string, data?: unknown): Promise<T> {
  const response = await answer(method, url, data);
  if (response.status === 204) return undefined as T;
  const body: unknown = await response.json().catch(() => null);
  if (!response.ok) {
    const fault = (body ?? {}) as FaultBody;
    throw new ApiError(
      response.status,
      fault.message ?? `The server answered ${response.status}.`,
      problemsOf(fault),
      body,
    );
  }
  return body as T;
}

export const api = {
  get: <T>(url: string) => request<T>('GET', url),
  post: <T>(url: string, data: unknown = {}) => request<T>('POST', url, data),
  patch: <T>(url: string, data: unknown) => request<T>('PATCH', url, data),
  delete: (url: string) => request<undefined>('DELETE', url),
};
