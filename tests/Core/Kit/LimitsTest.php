<?php

declare(strict_types=1);

namespace Tests\Core\Kit;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Kit\Limits;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use Chartula\Core\Problem\Problems;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

final class LimitsTest extends TestCase
{
    /**
     * A front of 1,000 bricks by so many courses, one and a half bricks a place on average: 500,000 is reached between 333
     * courses, 499,500, and 334, 501,000. Its neighbours are bare.
     *
     * @param  list<string>  $paths
     */
    #[TestWith([333, []])]
    #[TestWith([334, ['blocks.0.walls.0.finish']])]
    public function testBricksOfOneWall(int $courses, array $paths): void
    {
        $document = Kits::box('10000mm', '5000mm', $courses.'mm', 40.0);
        $document = BuildingGenerator::with($document, 'gauge', (object) ['brick' => '10mm', 'course' => '1mm', 'joint' => '0.2mm']);
        $document = BuildingGenerator::with($document, 'blocks.0.walls', [(object) ['edge' => 'front', 'finish' => 'brick-stretcher']]);
        $problems = new Problems;
        Limits::collect(BuildingReader::fromDocument($document), $problems);
        try {
            $problems->throwIfAny();
            self::assertSame([], $paths);
        } catch (InvalidInput $e) {
            self::assertSame($paths, array_map(static fn (Problem $p): string => $p->path, $e->problems));
        }
    }
}
