<?php

declare(strict_types=1);

namespace Tests\Core\Form;

use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use stdClass;
use Tests\Support\Kits;

/** Rows of houses wall to wall, flush at front and back, of any heights, ridges and pitches, whose roofs end flush at the walls. */
final class TerraceTest extends TestCase
{
    #[Group('property')]
    public function testRowsGoTogether(): void
    {
        $red = [];
        $whole = $refused = 0;
        foreach (range(1, getenv('CHARTULA_DEEP') !== false ? 300 : 40) as $seed) {
            try {
                $findings = Kits::of(self::row(new Randomizer(new Mt19937($seed))))->dryFit->toArray()['findings'];
                $whole += $findings === [] ? 1 : 0;
                $red += $findings === [] ? [] : [$seed => $findings[0]['text']];
            } catch (InvalidInput) {
                $refused++;
            }
        }
        fwrite(STDERR, "\n".json_encode(['whole' => $whole, 'refused' => $refused, 'red' => $red])."\n");
        self::assertGreaterThan($refused, $whole);
        // Where two roofs differ by less than a card's thickness neither has anything to lie against.
        self::assertLessThanOrEqual(getenv('CHARTULA_DEEP') !== false ? 0.08 * $whole : 0, count($red), (string) json_encode($red));
    }

    private static function row(Randomizer $random): stdClass
    {
        $blocks = [];
        $x = 0;
        for ($i = 0, $n = $random->getInt(2, 4); $i < $n; $i++) {
            $width = $random->getInt(12, 24);
            $blocks[] = ['id' => "b$i", 'footprint' => ['rect' => ["{$width}ft", '24ft']], 'at' => ["{$x}ft", '0ft'], 'eaves' => $random->getInt(14, 22).'ft '.$random->getInt(0, 11).'in',
                'roof' => ['kind' => 'gable', 'ridge' => $random->getInt(0, 1) === 0 ? 'x' : 'y', 'pitch' => $random->getInt(30, 50), 'overhang' => ['eaves' => '0in', 'verge' => '0in']]];
            $x += $width;
        }
        $document = json_decode((string) json_encode([
            'format' => 'chartula.building', 'version' => 1, 'name' => 'Row', 'scale' => '1:76.2',
            'methods' => ['wall' => [['id' => 'face', 'stock' => 'card-0.5', 'role' => 'face'], ['id' => 'core', 'stock' => 'greyboard-1', 'role' => 'core']], 'roof' => [['id' => 'carrier', 'stock' => 'greyboard-1', 'role' => 'core']], 'template' => ['stays' => false]],
            'blocks' => $blocks,
        ]));
        assert($document instanceof stdClass);

        return $document;
    }
}
