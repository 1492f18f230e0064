<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Actions\CreateBuilding;
use App\Models\User;
use App\Pictures\KeepPicture;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;
use RuntimeException;

/** The Marrowmere branch, an imaginary light railway to a salt-marsh harbour. */
final readonly class MarrowmereSeeder
{
    private const BUILDINGS = ['boat-shed', 'mission-room', 'harbour-office', 'weigh-office', 'creamery', 'ropewalk-row', 'halt'];

    public function __construct(private CreateBuilding $create, private KeepPicture $pictures)
    {
    }

    public function run(): void
    {
        DB::transaction(function (): void {
            $user = User::query()->firstOrCreate(
                ['email' => config()->string('chartula.demo.email')],
                ['name' => 'Demo visitor', 'password' => config()->string('chartula.demo.password')],
            );
            $project = $user->projects()->create(['name' => 'Marrowmere branch']);
            foreach (File::files(base_path('docs/examples/papers')) as $file) {
                $this->pictures->adopt($user, (string) hash_file('sha256', $file->getPathname()), $file->getContents());
            }
            foreach (self::BUILDINGS as $name) {
                $text = file_get_contents(base_path("docs/examples/$name.json"));
                $this->create->execute(
                    $project,
                    $user,
                    (string) Str::uuid(),
                    $text === false ? throw new RuntimeException("The example $name is missing") : $text,
                    null,
                );
            }
        });
    }
}
