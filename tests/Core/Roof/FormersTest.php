<?php

declare(strict_types=1);

namespace Tests\Core\Roof;

use Chartula\Core\Derivation;
use Chartula\Core\Part\Part;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\Kits;

/** Formers under ridges, against figures worked by hand. */
final class FormersTest extends TestCase
{
    public function testOneFormerUnderARidgeOf100(): void
    {
        $derivation = self::house(100);
        $formers = self::formers($derivation);
        // ⌈100 / 60⌉ + 1 = 3 places, two of which the gables hold.
        self::assertCount(1, $formers);
        $former = $formers[0];
        self::assertEqualsWithDelta(56.8, $former->width(), 0.0005, '60 − 2 × 1.5 − 0.2');
        self::assertEqualsWithDelta(30.0, $former->height(), 0.0005, 'the ridge: 30 · tan 45°');
        $side = $former->outline->edge('side');
        self::assertEqualsWithDelta(1.6, $former->outline->ring->edgeLength($side), 0.0005, '(1.5 + 0.1) · tan 45°');
        self::assertSame([], $derivation->dryFit->toArray()['findings']);
    }

    public function testBothSlopesRestOnEachFormer(): void
    {
        $derivation = self::house(170);
        $formers = self::formers($derivation);
        self::assertCount(2, $formers, '⌈170 / 60⌉ = 3 bays');
        foreach ($formers as $former) {
            $seats = array_filter($derivation->kit->joints, static fn ($joint): bool => $joint->kind === 'seat' && $joint->a->part === $former->id);
            self::assertCount(2, $seats);
            foreach ($seats as $seat) {
                self::assertEqualsWithDelta(28.4 * M_SQRT2, $seat->contact_mm, 0.0005);
            }
        }
    }

    private static function house(int $length): Derivation
    {
        $document = json_decode(str_replace(
            ['"methods":{', '"stock":"greyboard-1","role":"core"}],"roof"'],
            ['"stock":{"board":{"kind":"board","thickness":"1.5mm","sheet":["210mm","297mm"]}},"methods":{"supports":"auto",', '"stock":"board","role":"core"}],"roof"'],
            (string) json_encode(Kits::box($length.'mm', '60mm', '40mm', 45)),
        ));
        assert($document instanceof stdClass);

        return Kits::of($document);
    }

    /** @return list<Part> */
    private static function formers(Derivation $derivation): array
    {
        return array_values(array_map(static fn ($p): Part => $p->part, array_filter($derivation->kit->parts, static fn ($p): bool => str_contains($p->part->id, '.former'))));
    }
}
