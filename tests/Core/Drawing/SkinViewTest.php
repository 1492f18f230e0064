<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use Chartula\Core\Building\JsonText;
use Chartula\Core\Drawing\SkinView;
use PHPUnit\Framework\TestCase;
use stdClass;
use Tests\Support\BuildingGenerator;
use Tests\Support\Kits;

/** What the screen is told of coverings. */
final class SkinViewTest extends TestCase
{
    /** Where a block is left out, the roofs of the others are still said where the document has them. */
    public function testRoofsAreSaidWhereTheDocumentHasThem(): void
    {
        $document = JsonText::decode(Kits::exampleText('creamery'));
        $document->compression = (object) ['steps' => [(object) ['op' => 'omit', 'block' => 'dispatch']], 'protect' => []];
        $derived = Kits::of(BuildingGenerator::with($document, 'blocks.3.roof.finish', 'slate'));
        $roofs = self::roofs(SkinView::of($derived->printed->building, $derived->kit));
        self::assertSame(['hall', 'house', 'boiler', 'dormer'], array_column($roofs, 'block'));
        $blocks = is_array($document->blocks) ? $document->blocks : [];
        foreach ($roofs as $roof) {
            self::assertIsString($roof['path']);
            $block = $blocks[(int) explode('.', $roof['path'])[1]];
            self::assertInstanceOf(stdClass::class, $block);
            self::assertSame($roof['block'], $block->id);
        }
        self::assertSame([[], [], ['boiler.front-slope.carrier-paper'], []], array_column($roofs, 'papers'));
    }

    /** Pictures of coverings are asked for again only where they look otherwise. */
    public function testLooksChangeWithScaleBricksAndColours(): void
    {
        $look = static function (string $path, string $value): string {
            $document = BuildingGenerator::with(JsonText::decode(Kits::exampleText('weigh-office')), $path, $value);
            $derived = Kits::of($document);
            $looks = SkinView::of($derived->printed->building, $derived->kit)['look'];

            return is_string($looks) ? $looks : '';
        };
        $as = $look('name', 'Weigh office');
        self::assertSame($as, $look('blocks.0.walls.3.finish', 'render'));
        foreach (['scale' => '1:87.1', 'gauge.course' => '3 1/4in', 'methods.skin.brick' => '#b0604a'] as $path => $value) {
            self::assertNotSame($as, $look($path, $value), $path);
        }
    }

    /**
     * @param  array<string, mixed>  $view
     * @return list<array<array-key, mixed>>
     */
    private static function roofs(array $view): array
    {
        self::assertIsArray($view['roofs']);

        return array_values(array_filter($view['roofs'], is_array(...)));
    }
}
