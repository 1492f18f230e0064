<?php

declare(strict_types=1);

namespace Tests\Core\Form;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Building\Edit\Edits;
use Chartula\Core\Building\JsonText;
use Chartula\Core\Form\Covered;
use Chartula\Core\Problem\Check;
use Chartula\Core\Problem\InvalidInput;
use PHPUnit\Framework\TestCase;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** What of a wall another block stands in front of: it is hatched, remarked on, and nothing is put there. */
final class CoveredTest extends TestCase
{
    /** The boiler house is 16 ft wide and stands 5 ft 6 in from the hall's right corner; its lean-to roof meets the wall at 44.92. */
    public function testTheBoilerHouseCoversTheHall(): void
    {
        $form = Kits::example('creamery')->kit->form;
        $covered = Covered::of($form, $form->blocks[0]->wall(2));
        self::assertCount(1, $covered);
        $box = $covered[0]->ring->bounds();
        self::assertEqualsWithDelta([56.0, 0.0, 120.0, 44.92], [$box->x0, $box->y0, $box->x1, $box->y1], 0.05);
        self::assertSame([], Covered::of($form, $form->blocks[0]->wall(0)));
    }

    public function testAWindowBehindItIsRemarkedOn(): void
    {
        $document = JsonText::decode(Kits::exampleText('creamery'));
        $window = (object) ['id' => 'x1', 'style' => 'small', 'from' => '20ft', 'sill' => '4ft'];
        $document = BuildingGenerator::with($document, 'blocks.0.walls.2.openings.1', $window);
        $found = self::remarks(Kits::of($document)->checks);
        self::assertSame(['hall.back.x1'], array_keys($found));
        self::assertStringContainsString('Boiler house stands in front of it: nobody will see it', $found['hall.back.x1']);
    }

    /** Pressed as often as there is room, no window comes behind the boiler house. */
    public function testNothingIsPutThere(): void
    {
        $document = JsonText::decode(Kits::exampleText('creamery'));
        $before = count(BuildingReader::fromDocument($document)->blocks[0]->walls[2]->openings);
        $added = 0;
        for (; ; $added++) {
            try {
                $edit = (object) ['op' => 'add-opening', 'wall' => 'hall.back', 'style' => 'small'];
                $document = Edits::apply($document, [$edit])->document;
            } catch (InvalidInput $e) {
                self::assertSame('edit.no-room', $e->problems[0]->code);
                break;
            }
        }
        self::assertGreaterThan(1, $added);
        $derived = Kits::of($document);
        self::assertCount($before + $added, $derived->building->blocks[0]->walls[2]->openings);
        self::assertSame([], self::remarks($derived->checks));
    }

    /**
     * @param  list<Check>  $checks
     * @return array<string, string> by the opening, those of the hall's back
     */
    private static function remarks(array $checks): array
    {
        $isIt = static fn (Check $c): bool => $c->code === 'opening.covered' && str_starts_with($c->at, 'hall.back');
        $found = array_filter($checks, $isIt);

        return array_column(array_map(static fn (Check $c): array => [$c->at, $c->text], $found), 1, 0);
    }
}
