import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { ImportProject } from './ImportProject';

const reading = (state: string, done: number) => ({
  reading: {
    id: 'r',
    state,
    done,
    of: 400,
    project: null,
    problems: [] as { path: string; code: string; text: string }[],
  },
});

function show(answers: (object | 'away')[]) {
  const asked: string[] = [];
  vi.stubGlobal('fetch', (url: string) => {
    asked.push(url);
    const answer = answers.shift() ?? {};
    return answer === 'away'
      ? Promise.reject(new TypeError('no answer'))
      : Promise.resolve(new Response(JSON.stringify(answer), { status: 200 }));
  });
  render(
    <QueryClientProvider client={new QueryClient()}>
      <ImportProject />
    </QueryClientProvider>,
  );
  fireEvent.change(screen.getByLabelText('Project archive to import'), {
    target: { files: [new File(['x'], 'x.zip', { type: 'application/zip' })] },
  });
  return asked;
}

describe('importing a project', () => {
  afterEach(() => vi.unstubAllGlobals());

  it('says how far the reading of a large file has come, until it has ended', async () => {
    const asked = show([reading('waiting', 0), reading('reading', 200), reading('done', 400)]);
    expect(await screen.findByText(/It waits to be read/)).toBeInTheDocument();
    expect(await screen.findByText(/200 of 400 revisions have been read/)).toBeInTheDocument();
    expect(await screen.findByText('Import a project …', undefined, { timeout: 4500 })).toBeInTheDocument();
    expect(asked).toEqual(['/api/projects/import', '/api/projects/import/r', '/api/projects/import/r']);
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('asks on where the server is away for a moment', async () => {
    const asked = show([reading('reading', 100), 'away', reading('done', 400)]);
    expect(
      await screen.findByText(/100 of 400 revisions have been read/, undefined, { timeout: 3000 }),
    ).toBeInTheDocument();
    expect(await screen.findByText('Import a project …', undefined, { timeout: 4500 })).toBeInTheDocument();
    expect(asked).toHaveLength(3);
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('says what was wrong where nothing was kept', async () => {
    const refused = reading('refused', 200);
    refused.reading.problems = [{ path: 'buildings/01-x/00003.json', code: 'c', text: 'this is no JSON' }];
    show([refused]);
    expect(await screen.findByRole('alert')).toHaveTextContent('buildings/01-x/00003.json: this is no JSON');
  });
});
