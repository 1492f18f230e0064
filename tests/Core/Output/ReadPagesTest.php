<?php

declare(strict_types=1);

namespace Tests\Core\Output;

use Chartula\Core\Derivation;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Part\Part;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Support\Kits;

/** Every piece is found on the printed pages at its size, on the side that is printed, under its own name. */
final class ReadPagesTest extends TestCase
{
    #[TestWith(['weigh-office'])]
    #[TestWith(['creamery'])]
    #[TestWith(['halt'])]
    #[TestWith(['ropewalk-row'])]
    public function testEveryOutlineAndNameIsThereOnce(string $name): void
    {
        $derived = Kits::example($name);
        $left = $named = $wanted = [];
        foreach ($derived->kit->parts as $part) {
            $rings = self::asPrinted($derived, $part->part);
            $named[$part->label] = $rings[0];
            foreach (range(1, $part->part->qty()) as $copy) {
                $wanted[] = $part->label;
                foreach ($rings as $k => $ring) {
                    $left["$part->label, piece $copy, line $k"] = $ring;
                }
            }
        }
        $drawings = $derived->printed->drawings();
        $found = $wrong = $strange = [];
        foreach ($drawings === [] ? [] : ReadPage::all($drawings) as $page) {
            foreach ($page->outlines as $outline) {
                $key = self::oneLike($outline, $left);
                unset($left[$key ?? '']);
                array_push($strange, ...$key === null ? [$outline->bounds()] : []);
            }
            foreach ($page->names() as [$label, $box]) {
                $label = rtrim($label, ',');
                $found[] = $label;
                $isRight = isset($named[$label]) && ReadPage::isCongruent($named[$label], $page->named($box));
                array_push($wrong, ...$isRight ? [] : [$label]);
            }
        }
        self::assertSame([], array_keys($left), 'are on no page as they are to be cut');
        self::assertSame([], $strange, 'is no piece');
        sort($found);
        sort($wanted);
        self::assertSame($wanted, $found, 'each name stands once for each piece');
        self::assertSame([], $wrong, 'stand at another piece');
    }

    /** @return non-empty-list<Ring> its outline and its openings as they are to be read */
    private static function asPrinted(Derivation $derived, Part $part): array
    {
        $blank = $part->blank();
        $isMirrored = self::isMirrored($derived, $part);

        return array_map(static fn (Ring $r): Ring => $isMirrored ? $r->mirrored() : $r, [$blank->outline, ...$blank->holes]);
    }

    /** @param  array<string, Ring>  $left */
    private static function oneLike(Ring $outline, array $left): ?string
    {
        foreach ($left as $key => $ring) {
            if (abs($ring->area() - $outline->area()) < 1.0 && ReadPage::isCongruent($outline, $ring)) {
                return $key;
            }
        }

        return null;
    }

    /**
     * Labels for the back of the card are printed as it is seen from there; papers, clear sheet and doors with their planks as they are
     * seen.
     */
    private static function isMirrored(Derivation $derived, Part $part): bool
    {
        return $derived->building->methods->template->side === 'back'
            && ! in_array($part->stock->kind, ['paper', 'acetate'], true)
            && ! (str_contains($part->id, '.leaf.') && $part->marks !== []);
    }

    public function testAShapeThatIsTurnedOverOrATenthLargerIsAnother(): void
    {
        $one = new Ring([new Vec2(0.0, 0.0), new Vec2(10.0, 0.0), new Vec2(10.0, 5.0), new Vec2(3.0, 7.0)]);
        $turned = new Ring(array_map(static fn (Vec2 $p): Vec2 => new Vec2(20.0 - $p->y, $p->x), $one->points));
        self::assertTrue(ReadPage::isCongruent($one, $turned));
        self::assertFalse(ReadPage::isCongruent($one, $one->mirrored()));
        self::assertFalse(ReadPage::isCongruent($one, $one->scaled(1.01)));
    }
}
