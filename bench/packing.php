<?php

declare(strict_types=1);

/*
 * Times packing by outlines: the five sets of tests/fixtures/packing, 300 odd parts of one stock, half of them gabled, and the four
 * examples, with each effort. Prints how many bins or pages come out, how far up the last is used, and medians over RUNS runs.
 *
 *   php bench/packing.php [runs]
 */

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Geometry\Region;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Packing\Bin;
use Chartula\Core\Packing\Effort;
use Chartula\Core\Packing\Nesting;
use Chartula\Core\Packing\Piece;
use Chartula\Core\Packing\Shape;
use Chartula\Core\Sheets\SheetPlan;
use Chartula\Core\Sheets\Wanted;
use Random\Engine\Mt19937;
use Random\Randomizer;

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/median.php';

ini_set('memory_limit', '1G');
$runs = (int) ($argv[1] ?? 3);

/**
 * @param  non-empty-list<array{float, float}>  $outline
 * @param  non-empty-list<int>  $degrees
 */
function piece(string $key, array $outline, array $degrees): Piece
{
    $turns = [];
    foreach ($degrees as $turn) {
        [$c, $s] = [round(cos(deg2rad($turn))), round(sin(deg2rad($turn)))];
        $turns[$turn] = Shape::of([new Region(new Ring(array_map(
            static fn (array $p): Vec2 => new Vec2($c * $p[0] - $s * $p[1], $s * $p[0] + $c * $p[1]),
            $outline,
        )))]);
    }

    return new Piece($key, $turns);
}

$sets = [];
foreach (['cottage', 'terrace', 'l-house', 'church', 'mill'] as $name) {
    /**
     * @var array{
     *     sheet: array{w: float, h: float, margin: float}, gap: float,
     *     parts: list<array{id: string, outline: non-empty-list<array{float, float}>, qty: int, rotations: non-empty-list<int>}>
     * } $set
     */
    $set = json_decode((string) file_get_contents(__DIR__."/../tests/fixtures/packing/$name.json"), true, 512, JSON_THROW_ON_ERROR);
    $margin = 2.0 * $set['sheet']['margin'];
    $pieces = [];
    foreach ($set['parts'] as $part) {
        foreach (range(1, $part['qty']) as $copy) {
            $pieces[] = piece("$part[id]#$copy", $part['outline'], $part['rotations']);
        }
    }
    $sets[$name] = [$pieces, new Bin($set['sheet']['w'] - $margin, $set['sheet']['h'] - $margin, $set['gap'])];
}
$random = new Randomizer(new Mt19937(7));
$pieces = [];
for ($i = 0; $i < 300; $i++) {
    [$w, $h] = [$random->getInt(500, 8000) / 100.0, $random->getInt(300, 6000) / 100.0];
    $gabled = [[0.0, 0.0], [$w, 0.0], [$w, 0.6 * $h], [$w / 2.0, $h], [0.0, 0.6 * $h]];
    $outline = $random->getInt(0, 1) === 1 ? $gabled : [[0.0, 0.0], [$w, 0.0], [$w, $h], [0.0, $h]];
    $pieces[] = piece("p$i", $outline, [0, 90, 180, 270]);
}
$sets['300 parts'] = [$pieces, new Bin(194.0, 275.0, 2.0)];

foreach ($sets as $name => [$pieces, $bin]) {
    foreach (Effort::cases() as $effort) {
        $found = Nesting::of($pieces, $bin, $effort);
        $ms = median($runs, static fn () => Nesting::of($pieces, $bin, $effort));
        printf("%-12s %-9s %2d bins, last to %5.1f mm, %7.0f ms\n", $name, $effort->value, $found->bins, $found->lastTop, $ms);
    }
}
foreach (['weigh-office', 'creamery', 'halt', 'ropewalk-row'] as $name) {
    $kit = Kit::derive(BuildingReader::fromText((string) file_get_contents(__DIR__."/../docs/examples/$name.json")));
    $building = $kit->modelled->building;
    foreach (Effort::cases() as $effort) {
        $pages = count(SheetPlan::of($building, $kit, new Wanted($effort))->sheets);
        $ms = median($runs, static fn () => SheetPlan::of($building, $kit, new Wanted($effort)));
        printf("%-12s %-9s %2d pages, %7.0f ms\n", $name, $effort->value, $pages, $ms);
    }
}
