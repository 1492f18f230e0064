<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\ImportProject;
use App\Archive\Reading;
use App\Models\User;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Throwable;

/** Reads a large archive beside the requests, and says how far it has come. What breaks off leaves nothing behind. */
final class ReadArchive implements ShouldQueue
{
    use Queueable;

    /** One that was broken off is not begun anew by itself: whoever sent it is told. */
    public int $tries = 1;

    /** Seconds; the queue lends a job for longer than this. */
    public int $timeout = 900;

    /** @param  string  $file  where the archive lies, which goes when it has been read */
    public function __construct(
        private readonly int $user,
        private readonly string $reading,
        private readonly string $file,
        private readonly int $of,
    ) {
    }

    public function handle(ImportProject $import): void
    {
        $reading = Reading::known($this->user, $this->reading, $this->of);
        $done = 0;
        $reading->tell('reading', 0);
        try {
            $project = $import->execute(
                User::query()->whereKey($this->user)->firstOrFail(),
                $this->file,
                function (int $more) use ($reading, &$done): void {
                    $done += $more;
                    $reading->tell('reading', $done);
                },
                $this->timeout - 60.0,
            );
            $reading->tell('done', $this->of, $project->id);
        } catch (InvalidInput $e) {
            $reading->tell('refused', $done, null, array_map(static fn (Problem $p): array => $p->toArray(), $e->problems));
        } finally {
            @unlink($this->file);
        }
    }

    public function failed(?Throwable $e): void
    {
        Reading::known($this->user, $this->reading, $this->of)->tell('stopped', 0);
        @unlink($this->file);
    }
}
