<?php

declare(strict_types=1);

/*
 * Times roofs over outlines of ever more corners: a star of so many points under a hip roof, from its document to its form,
 * and to its kit where that is made; and the creamery's form, kit and mock-up. Medians over RUNS runs after a warm-up.
 *
 *   php bench/forms.php [runs]
 */

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Form\Surfaces;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Mockup\Mockup;
use Chartula\Core\Problem\Problems;

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/median.php';

$runs = (int) ($argv[1] ?? 9);

/** A star with so many corners about 12 mm apart, every other one drawn in by 3 mm. */
function star(int $corners): string
{
    $points = [];
    for ($i = 0; $i < $corners; $i++) {
        $angle = 2.0 * M_PI * $i / $corners;
        $radius = 2.0 * $corners - ($i % 2 === 0 ? 0.0 : 3.0);
        $points[] = [sprintf('%.4Fmm', $radius * cos($angle)), sprintf('%.4Fmm', $radius * sin($angle))];
    }

    return (string) json_encode([
        'format' => 'chartula.building', 'version' => 1, 'name' => "Star of $corners", 'scale' => '1:1',
        'methods' => [
            'wall' => [['id' => 'core', 'stock' => 'greyboard-1', 'role' => 'core']],
            'roof' => [['id' => 'carrier', 'stock' => 'greyboard-1', 'role' => 'core']], 'base' => 'none',
            'braces' => 'none',
        ],
        'blocks' => [
            ['id' => 'star', 'footprint' => ['polygon' => $points], 'eaves' => '40mm', 'roof' => ['kind' => 'hip', 'pitch' => 40]],
        ],
    ]);
}

printf("%-16s %8s %8s\n", 'corners', 'form', 'kit');
foreach ([8, 20, 50, 100, 200] as $corners) {
    $building = BuildingReader::fromText(star($corners));
    printf(
        "%-16d %8.1f %8.1f\n",
        $corners,
        median($runs, static fn () => Surfaces::of($building, new Problems)),
        median($runs, static fn () => Kit::derive($building)),
    );
}
$building = BuildingReader::fromText((string) file_get_contents(__DIR__.'/../docs/examples/creamery.json'));
$kit = Kit::derive($building);
printf(
    "%-16s %8.1f %8.1f   mock-up %.1f\n",
    'creamery',
    median($runs, static fn () => Surfaces::of($building, new Problems)),
    median($runs, static fn () => Kit::derive($building)),
    median($runs, static fn () => Mockup::of($kit->form, 100, 194.0, 240.0)),
);
printf("peak memory %.1f MB\n", memory_get_peak_usage() / 1048576);
