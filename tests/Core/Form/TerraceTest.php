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
use Tests\Support\Property;
use Tests\Support\Sample;

/** Rows of houses wall to wall, flush at front and back, of any heights, ridges and pitches, whose roofs end flush at the walls. */
final class TerraceTest extends TestCase
{
    #[Group('property')]
    public function testRowsGoTogether(): void
    {
        $made = 0;
        $tried = Property::holds(self::rows(), function (stdClass $document) use (&$made): ?string {
            try {
                $findings = Kits::of($document)->dryFit->toArray()['findings'];
            } catch (InvalidInput) {
                return null;
            }
            $made++;

            return $findings[0]['text'] ?? null;
        });
        self::assertGreaterThan($tried / 2, $made);
    }

    /** @return iterable<int, stdClass> by seed */
    private static function rows(): iterable
    {
        foreach (range(1, Sample::isDeep() ? 300 : 20) as $seed) {
            yield $seed => self::row(new Randomizer(new Mt19937($seed)));
        }
    }

    private static function row(Randomizer $random): stdClass
    {
        $blocks = [];
        $x = 0;
        for ($i = 0, $n = $random->getInt(2, 4); $i < $n; $i++) {
            $width = $random->getInt(12, 24);
            $blocks[] = [
                'id' => "b$i", 'footprint' => ['rect' => ["{$width}ft", '24ft']], 'at' => ["{$x}ft", '0ft'],
                'eaves' => $random->getInt(14, 22).'ft '.$random->getInt(0, 11).'in',
                'roof' => [
                    'kind' => 'gable', 'ridge' => $random->getInt(0, 1) === 0 ? 'x' : 'y',
                    'pitch' => $random->getInt(30, 50), 'overhang' => ['eaves' => '0in', 'verge' => '0in'],
                ],
            ];
            $x += $width;
        }
        $document = json_decode((string) json_encode([
            'format' => 'chartula.building', 'version' => 1, 'name' => 'Row', 'scale' => '1:76.2',
            'methods' => [
                'wall' => [
                    ['id' => 'face', 'stock' => 'card-0.5', 'role' => 'face'],
                    ['id' => 'core', 'stock' => 'greyboard-1', 'role' => 'core'],
                ],
                'roof' => [['id' => 'carrier', 'stock' => 'greyboard-1', 'role' => 'core']],
                'template' => ['stays' => false],
            ],
            'blocks' => $blocks,
        ]));
        assert($document instanceof stdClass);

        return $document;
    }
}
