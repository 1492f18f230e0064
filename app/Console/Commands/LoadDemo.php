<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\User;
use Database\Seeders\MarrowmereSeeder;
use Illuminate\Console\Command;

/** Loads the demo once; with --fresh puts the demo account, and nothing else, back as it was delivered. */
final class LoadDemo extends Command
{
    protected $signature = 'chartula:demo {--fresh : throw away what was done in the demo account}';

    protected $description = 'Loads the Marrowmere demo';

    public function handle(MarrowmereSeeder $seeder): int
    {
        $user = User::query()->where('email', config()->string('chartula.demo.email'))->first();
        if ($user !== null && $this->option('fresh') !== true) {
            return self::SUCCESS;
        }
        $user?->projects()->delete();
        $seeder->run();

        return self::SUCCESS;
    }
}
