import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { ApiError, api } from '../../api/client';
import { enterAs } from '../../api/options';
import sheet from '../../assets/sheet.png';
import standing from '../../assets/standing.jpg';
import type { Account } from '../../api/types';
import { FormField } from '../../ui/FormField';

/** Of the pictures, so that nothing moves when they come. */
const SIZES = { standing: [846, 446], sheet: [480, 679] } as const;

/** The front page: what it is for, the demo in one press, and the door. */
export function WelcomePage({ hasDemo }: { hasDemo: boolean }) {
  const [isNew, setIsNew] = useState(false);
  const [name, setName] = useState('');
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const queries = useQueryClient();
  const enter = useMutation({
    mutationFn: (way: 'demo' | 'sign-in' | 'register') =>
      api.post<Account>(
        way,
        way === 'demo' ? {} : way === 'register' ? { name, email, password } : { email, password },
      ),
    onSuccess: (account) => {
      enterAs(queries, account);
    },
  });
  const error = enter.error instanceof ApiError ? enter.error : null;
  const problem = (path: string) => error?.problems.find((p) => p.path === path)?.text;
  return (
    <main className="desk">
      <div className="row g-3">
        <div className="col-lg-7">
          <div className="sheet h-100">
            <h1>Chartula</h1>
            <p className="fs-5">
              Describe a real building once. Chartula works out every wall, roof panel, window and paper for your scale
              and your card, proves that they fit, and prints them at 1:1.
            </p>
            <ul>
              <li>Type sizes as you took them: 18&apos; 6&quot;, 5.64m, 38br.</li>
              <li>Read the sum behind every figure.</li>
              <li>Know that it goes together before the knife comes out.</li>
            </ul>
            <WhatComesOut />
            {hasDemo && (
              <>
                <Button size="lg" onClick={() => enter.mutate('demo')} disabled={enter.isPending}>
                  Look round the demo
                </Button>
                <p className="quiet mt-2">
                  The Marrowmere branch, with its weigh office ready to print. No account needed.
                </p>
              </>
            )}
          </div>
        </div>
        <div className="col-lg-5">
          <form
            className="sheet"
            onSubmit={(event) => {
              event.preventDefault();
              enter.mutate(isNew ? 'register' : 'sign-in');
            }}
          >
            <h2>{isNew ? 'Make an account' : 'Sign in'}</h2>
            {isNew && (
              <FormField
                label="Your name"
                value={name}
                onChange={setName}
                problem={problem('name')}
                autoComplete="name"
              />
            )}
            <FormField
              label="E-mail address"
              type="email"
              value={email}
              onChange={setEmail}
              problem={problem('email')}
              autoComplete="username"
            />
            <FormField
              label="Password"
              type="password"
              value={password}
              onChange={setPassword}
              problem={problem('password')}
              autoComplete={isNew ? 'new-password' : 'current-password'}
              {...(isNew ? { help: 'Ten characters or more.' } : {})}
            />
            {error !== null && error.problems.length === 0 && (
              <p role="alert" className="text-danger">
                {error.message}
              </p>
            )}
            <div className="tools mt-3">
              <Button type="submit" disabled={enter.isPending}>
                {isNew ? 'Make the account' : 'Sign in'}
              </Button>
              <Button
                variant="link"
                onClick={() => {
                  enter.reset();
                  setIsNew(!isNew);
                }}
              >
                {isNew ? 'I have an account' : 'I am new here'}
              </Button>
            </div>
          </form>
        </div>
      </div>
    </main>
  );
}

/** The building standing, and a page of it. */
function WhatComesOut() {
  return (
    <div className="what-comes-out">
      <figure>
        <img
          src={standing}
          alt="A slated creamery of card and brick paper, standing on a bench"
          width={SIZES.standing[0]}
          height={SIZES.standing[1]}
        />
        <figcaption>It stands before anything is cut,</figcaption>
      </figure>
      <figure>
        <img
          src={sheet}
          alt="A page of papers of brick and slates with labels, folds and proving rules"
          width={SIZES.sheet[0]}
          height={SIZES.sheet[1]}
        />
        <figcaption>and comes out as pages at 1:1.</figcaption>
      </figure>
    </div>
  );
}
