<?php

declare(strict_types=1);

namespace App\Archive;

use App\Models\User;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Str;

/**
 * How far the reading of an archive has come, for the person who sent it: kept beside the database, since what is read there is not to be
 * seen before all of it is.
 *
 * @phpstan-type State array{id: string, state: 'waiting'|'reading'|'done'|'refused'|'stopped', done: int, of: int, project: ?string,
 *     problems: list<array<string, mixed>>}
 */
final readonly class Reading
{
    /** Whoever hears nothing of it for so long may take it for stopped, seconds. */
    private const SILENT_S = 60;

    private function __construct(
        private int $user,
        public string $id,
        private int $of,
    ) {
    }

    public static function begun(User $user, int $of): self
    {
        $reading = new self($user->id, strtolower((string) Str::ulid()), $of);
        $reading->tell('waiting', 0);

        return $reading;
    }

    /** @param  int  $of  how many revisions there are, for who tells on it */
    public static function known(int $user, string $id, int $of = 0): self
    {
        return new self($user, $id, $of);
    }

    /**
     * @param  'waiting'|'reading'|'done'|'refused'|'stopped'  $state
     * @param  list<array<string, mixed>>  $problems
     */
    public function tell(string $state, int $done, ?string $project = null, array $problems = []): void
    {
        $told = ['id' => $this->id, 'state' => $state, 'done' => $done, 'of' => $this->of, 'project' => $project, 'problems' => $problems];
        Cache::put($this->key(), [...$told, 'at' => time()], now()->addDay());
    }

    /** @return ?State null where this person began none of that name */
    public function state(): ?array
    {
        $state = Cache::get($this->key());
        if (! is_array($state) || ! is_int($state['at'])) {
            return null;
        }
        if ($state['state'] === 'reading' && time() - $state['at'] > self::SILENT_S) {
            $state['state'] = 'stopped';
        }
        unset($state['at']);

        /** @var State */
        return $state;
    }

    private function key(): string
    {
        return "reading.$this->user.$this->id";
    }
}
