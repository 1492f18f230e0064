<?php

declare(strict_types=1);

/*
 * Times what the Plot stage asks for: the creamery's fit beside 20 obstacles, from nothing and after an edit;
 * the schools of
 * low relief; what shows from the eye; a row of which a part recedes; proposals for the creamery, and for five
 * sheds of ten bays; the table of scales.
 * Medians over RUNS runs after a warm-up.
 *
 *   php bench/plot.php [runs]
 */ use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Fit\Compromise\Compromises;
use Chartula\Core\Fit\Compromise\Targets;
use Chartula\Core\Fit\Plot\Fit;
use Chartula\Core\Fit\Relief\ReliefTable;
use Chartula\Core\Fit\ScaleTable;
use Chartula\Core\Fit\Sight\SightReport;
use Chartula\Core\Kit\DryFit\Assembly;
use Chartula\Core\Recall\Recall;

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/median.php';

$runs = (int) ($argv[1] ?? 7);
$time = static function (string $what, callable $work) use ($runs): void {
    printf("%-52s %8.1f ms\n", $what, median($runs, $work));
};
$creamery = JsonText::decode((string) file_get_contents(__DIR__.'/../docs/examples/creamery.json'));
assert($creamery->plot instanceof stdClass);
$creamery->plot->obstacles = [];
for ($i = 0; $i < 20; $i++) {
    $creamery->plot->obstacles[] = (object) [
        'id' => "o$i", 'kind' => 'rod', 'at' => [(20 * $i).'mm', ($i % 2 * 150 + 10).'mm'],
        'size' => ['1.2mm', '1.2mm'], 'to' => '6mm', 'travel' => ['5mm', '0mm'],
    ];
}
$text = JsonText::encode($creamery);
$building = BuildingReader::fromText($text);
$derived = Derivation::of($building, $text);
$assembly = Assembly::of($derived->serialised());
$recall = new Recall;
Fit::of($derived->building, $derived->kit, $assembly, $recall);
$time('creamery, 20 obstacles: fit, from nothing', static fn () => Fit::of($derived->building, $derived->kit, $assembly));
$time(
    'creamery, 20 obstacles: fit, after an edit',
    static fn () => Fit::of($derived->building, $derived->kit, $assembly, new Recall($recall->answers())),
);
$time('creamery: five schools of low relief at 75 mm', static fn () => ReliefTable::of($building, 75.0));
$time('creamery: what shows from nine places', static fn () => SightReport::of($derived->building, $derived->kit, $assembly));
$time('creamery: at six scales', static fn () => ScaleTable::of($creamery, []));
$time('creamery: five proposals, each tried', static fn () => Compromises::of($creamery, new Targets(335.0)));

$row = (string) file_get_contents(__DIR__.'/../docs/examples/ropewalk-row.json');
$plain = JsonText::decode($row);
unset($plain->perspective);
$flat = JsonText::encode($plain);
$time('Ropewalk Row as deep as it is: derived, dry-fitted', static fn () => Derivation::of(BuildingReader::fromText($flat), $flat));
$time('Ropewalk Row with two lofts and a passage receding', static fn () => Derivation::of(BuildingReader::fromText($row), $row));

// Five sheds in a row, ten bays in the first.
$shed = static fn (int $i): array =>
    [
        'id' => "s$i", 'footprint' => ['rect' => [$i === 0 ? '95ft' : '20ft', '30ft']],
        'at' => [($i === 0 ? 0 : 95 + 20 * ($i - 1)).'ft', '0ft'], 'eaves' => (14 + $i % 3).'ft',
        'walls' => [
            [
                'edge' => 'front',
                'openings' => $i === 0
                    ? [['id' => 'w', 'style' => 'light', 'from' => '5ft', 'sill' => '3ft', 'repeat' => ['count' => 10, 'pitch' => '9ft']]]
                    : [],
            ],
        ],
        'roof' => ['kind' => 'gable', 'ridge' => 'x', 'pitch' => 35 + $i, 'overhang' => ['eaves' => '6in', 'verge' => '0in']],
    ];
$works = JsonText::decode((string) json_encode(['format' => 'chartula.building', 'version' => 1, 'name' => 'Works', 'scale' => '1:76.2',
    'methods' => [
        'wall' => [['id' => 'core', 'stock' => 'greyboard-1', 'role' => 'core']],
        'roof' => [['id' => 'carrier', 'stock' => 'greyboard-1', 'role' => 'core']],
        'template' => ['stays' => false],
    ],
    'styles' => [
        'light' => ['kind' => 'window', 'w' => '4ft', 'h' => '6ft', 'frame' => ['panes' => [2, 3], 'stile' => '4in', 'bar' => '4in']],
    ],
    'blocks' => array_map($shed, range(0, 4))]));
$time('ten bays, five blocks: proposals, each tried', static fn () => Compromises::of($works, new Targets(690.0)));
