import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { ApiError, api } from '../../api/client';
import { accountOptions, enterAs } from '../../api/options';
import type { Account, User } from '../../api/types';
import { FormField } from '../../ui/FormField';

interface Props {
  user: User;
  why: string;
  kept: string;
  again: () => void;
}

/** The session has ended in the middle of work: whoever it was signs in here and goes on. */
export function SignInAgain({ user, why, kept, again }: Props) {
  const [password, setPassword] = useState('');
  const queries = useQueryClient();
  const enter = useMutation({
    mutationFn: async () => {
      // The cookie that changes need is made anew by any answer.
      await api.get<Account>('me');
      return user.is_demo ? api.post<Account>('demo') : api.post<Account>('sign-in', { email: user.email, password });
    },
    onSuccess: (account) => {
      if (account.user?.id === user.id) {
        queries.setQueryData(accountOptions().queryKey, account);
        again();
      } else {
        enterAs(queries, account);
      }
    },
  });
  const error = enter.error instanceof ApiError ? (enter.error.problems[0]?.text ?? enter.error.message) : undefined;
  return (
    <form
      className="remark remark-stop"
      aria-label="Sign in again"
      onSubmit={(event) => {
        event.preventDefault();
        enter.mutate();
      }}
    >
      <strong>{why}</strong> {kept} in this tab for {user.name}, and for nobody else.
      {user.is_demo ? (
        error !== undefined && <p className="text-danger">{error}</p>
      ) : (
        <FormField
          label={`Password of ${user.email}`}
          type="password"
          value={password}
          onChange={setPassword}
          problem={error}
          autoComplete="current-password"
        />
      )}{' '}
      <Button type="submit" disabled={(password === '' && !user.is_demo) || enter.isPending}>
        {user.is_demo ? 'Enter the demo again and go on' : 'Sign in and go on'}
      </Button>
    </form>
  );
}
