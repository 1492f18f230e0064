<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\KeptFiles;
use App\Models\StoredKit;
use Illuminate\Console\Command;

/**
 * Lets go of kept files beyond their bound, and of kept kits that another core derived, or that are a month old: each can be derived again.
 */
final class PruneKits extends Command
{
    private const KEPT_DAYS = 30;

    protected $signature = 'chartula:prune-kits';

    protected $description = 'Removes kept kits that are no longer asked for';

    public function handle(KeptFiles $files): int
    {
        $files->bound();
        StoredKit::query()
            ->where('core_version', '<>', config()->string('chartula.core_version'))
            ->orWhere('created_at', '<', now()->subDays(self::KEPT_DAYS))
            ->delete();

        return self::SUCCESS;
    }
}
