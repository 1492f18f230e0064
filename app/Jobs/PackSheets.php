<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\DeriveKit;
use App\Actions\PackedSheets;
use App\Models\Revision;
use Chartula\Core\Packing\Effort;
use Chartula\Core\Recall\Recall;
use Chartula\Core\Sheets\SheetPlan;
use Chartula\Core\Sheets\Wanted;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Throwable;

/** Looks thoroughly for fewer sheets of a revision, and keeps what it finds beside the kit. */
final class PackSheets implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 300;

    public function __construct(private readonly string $building, private readonly int $number)
    {
    }

    public function handle(DeriveKit $derive, PackedSheets $packed): void
    {
        $revision = $this->revision();
        $text = $revision->text;
        if ($revision->building()->firstOrFail()->lastSound()?->number !== $this->number) {
            // It has been edited since: nobody looks at these sheets any more.
            $packed->forget($text);

            return;
        }
        // A kit to keep it beside, where that has been let go.
        $derive->fromText($text);
        $printed = $derive->printed($text, Effort::Quick);
        $recall = new Recall;
        SheetPlan::of($printed->building, $printed->kit, new Wanted(Effort::Thorough), $recall);
        $packed->keep($text, $recall->answers());
    }

    public function failed(?Throwable $e): void
    {
        app(PackedSheets::class)->forget($this->revision()->text);
    }

    private function revision(): Revision
    {
        return Revision::query()->where('building_id', $this->building)->where('number', $this->number)->firstOrFail();
    }
}
