<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use Chartula\Core\Building\JsonText;
use Chartula\Core\Derivation;
use Chartula\Core\Drawing\PrintedMarks;
use Chartula\Core\Geometry\Box2;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Sheets\PlacedPart;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use RuntimeException;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** Marks are printed where they can be seen when they are wanted, and nowhere else. */
final class PrintedMarksTest extends TestCase
{
    /** Of a plinth on paper: a line on the laps, which the next paper covers, and a tick beyond all print where there is none. */
    #[TestWith(['front', 0, 2])]
    #[TestWith(['left', 2, 2])]
    public function testAPlinthIsMarkedOnLapsAndBesideThePaper(string $edge, int $onLaps, int $ticks): void
    {
        $placed = self::placed(self::office(['blocks.0.plinth' => '12in']), "main.$edge.paper");
        $marks = PrintedMarks::of($placed);
        self::assertCount($onLaps, $marks->lines);
        foreach ($marks->lines as $line) {
            foreach ($line as $p) {
                $x = $p->x - $placed->x;
                self::assertTrue(min($x, $placed->width() - $x) < 1.8, 'a lap is 1.8 wide');
            }
        }
        self::assertCount($ticks, $marks->ticks);
        $box = new Box2($placed->x, $placed->y, $placed->x + $placed->width(), $placed->y + $placed->height());
        foreach ($marks->ticks as $tick) {
            foreach ($tick as $p) {
                self::assertGreaterThan(1.5 - 1e-6, max($box->x0 - $p->x, $p->x - $box->x1), 'beyond what is printed');
                self::assertEqualsWithDelta(4.0, $p->y - $placed->y, 1e-6, '12 in at 1:76.2');
            }
        }
        self::assertSame(['top of the plinth'], array_values(array_unique(array_column($marks->words, 1))));
    }

    /** On the back of a bare card its ends are pricked through; on its face the line itself is seen. */
    public function testOnTheBackOfABareCardTheEndsArePrickedThrough(): void
    {
        $bare = ['blocks.0.plinth' => '12in', 'blocks.0.walls.2.finish' => 'bare'];
        $placed = self::placed(self::office($bare), 'main.back.face');
        $marks = PrintedMarks::of($placed);
        self::assertCount(1, $marks->lines);
        $middles = array_map(static fn (array $ring): Vec2 => Box2::around($ring)->centre(), $marks->ticks);
        $ends = array_map($placed->toSheet(...), $placed->part->part->marks[0]->path);
        self::assertCount(2, $middles);
        foreach ($ends as $i => $end) {
            self::assertEqualsWithDelta(0.0, $end->distanceTo($middles[$i]), 1e-6);
        }
        $front = self::placed(self::office($bare + ['methods.template.side' => 'front']), 'main.back.face');
        self::assertSame([], PrintedMarks::of($front)->ticks);
    }

    /** A door's template goes on its outside, with the planks, whatever side the others go on. */
    public function testPlanksAreOnTheOutsideOfADoor(): void
    {
        $placed = self::placed(self::office([]), 'main.front.leaf.d1');
        self::assertFalse($placed->mirrored);
        self::assertCount(count($placed->part->part->marks), PrintedMarks::of($placed)->lines);
        self::assertNotSame([], $placed->part->part->marks);
    }

    /** @param  array<string, mixed>  $changes */
    private static function office(array $changes): Derivation
    {
        $document = JsonText::decode(Kits::exampleText('weigh-office'));
        foreach ($changes as $path => $value) {
            $document = BuildingGenerator::with($document, $path, $value);
        }

        return Kits::of($document);
    }

    private static function placed(Derivation $derived, string $id): PlacedPart
    {
        foreach ($derived->printed->plan->sheets as $sheet) {
            foreach ($sheet->parts as $placed) {
                if ($placed->part->part->id === $id) {
                    return $placed;
                }
            }
        }
        throw new RuntimeException("$id is on no sheet");
    }
}
