<?php

declare(strict_types=1);

/*
 * Times the core: reading, deriving, dry fit, packing, sheets and PDF, for the weigh office, the creamery with its four
 * meeting blocks, for long lofts of about 50, 150 and 200 pieces, and for a hall of 1,000 with windows in all
 * four walls. Prints medians over RUNS runs after a
 * warm-up, and the peak of memory; “edited” is all of it again after an opening was moved, with what was worked
 * out before.
 *
 *   php bench/derive.php [runs]
 */ use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Kit\DryFit\DryFit;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Kit\KitDocument;
use Chartula\Core\Output\PdfWriter;
use Chartula\Core\Recall\Recall;
use Chartula\Core\Sheets\SheetPlan;

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/median.php';
require __DIR__.'/buildings.php';

$runs = (int) ($argv[1] ?? 15);
$office = (string) file_get_contents(__DIR__.'/../docs/examples/weigh-office.json');

printf(
    "%-24s %7s %8s %8s %8s %8s %8s %8s %8s %8s\n",
    'building',
    'pieces',
    'read',
    'derive',
    'document',
    'dry fit',
    'packing',
    'all',
    'edited',
    'PDF',
);
$creamery = (string) file_get_contents(__DIR__.'/../docs/examples/creamery.json');
foreach ([
    'weigh office' => $office, 'creamery' => $creamery, 'about 50' => loft($office, 8),
    'about 150' => loft($office, 33), 'about 200' => loft($office, 44), 'about 1,000' => hall($office, 122),
] as $name => $text) {
    $building = BuildingReader::fromText($text);
    $kit = Kit::derive($building);
    $derived = Derivation::of($building, $text);
    $document = $derived->serialised();
    $drawings = $derived->printed->drawings();
    $before = new Recall;
    Derivation::of($building, $text, $before);
    $wall = $building->blocks[0]->id.'.front';
    $after = JsonText::encode(
        Edits::apply(
            JsonText::decode($text),
            [(object) ['op' => 'move-opening', 'wall' => $wall, 'id' => $building->blocks[0]->walls[0]->openings[0]->id, 'bricks' => 0.25]],
        )->document,
    );
    $edited = BuildingReader::fromText($after);
    printf("%-24s %7d %8.1f %8.1f %8.1f %8.1f %8.1f %8.1f %8.1f %8s\n", $name, $kit->count(),
        median($runs, static fn () => BuildingReader::fromText($text)),
        median($runs, static fn () => Kit::derive($building)),
        median($runs, static fn () => json_encode(KitDocument::of($building, '', $kit))),
        median($runs, static fn () => DryFit::check($document, $building)),
        median($runs, static fn () => SheetPlan::of($building, $kit)),
        median($runs, static fn () => Derivation::of($building, $text)),
        median($runs, static fn () => Derivation::of($edited, $after, new Recall($before->answers()))),
        $drawings === [] ? 'no part' : sprintf('%.1f', median(5, static fn () => PdfWriter::write($derived->printed->drawings(), 'x'))),
    );
}
printf("peak memory %.1f MB\n", memory_get_peak_usage() / 1048576);
