<?php

declare(strict_types=1);

namespace Tests\Core;

use Chartula\Core\Building\BuildingReader;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Labelling\LabelledPart;
use Chartula\Core\Labelling\Labels;
use Chartula\Core\Recall\Recall;
use PHPUnit\Framework\TestCase;
use Tests\Support\Kits;

final class LabelsTest extends TestCase
{
    public function testWhatIsPrintedKeepsItsLabelAndOthersTakeFreeOnes(): void
    {
        // The front's frame was printed as F2 and what was F1 is no more: the right wall's frame, F2 afresh, takes the next that is free.
        $labels = self::labels(['main.front.frame.w1' => 'F2', 'main.left.frame.w1' => 'F3', 'main.front.face' => 'W1']);
        self::assertSame(['F2', 'F4', 'W1', 'W2'], [
            $labels['main.front.frame.w1'], $labels['main.right.frame.w1'], $labels['main.front.face'], $labels['main.front.core'],
        ]);
        self::assertSame(count($labels), count(array_unique($labels)));
        // A number that is on no print any more is free again.
        self::assertSame('F3', self::labels(['main.front.frame.w1' => 'F2'])['main.right.frame.w1']);
        self::assertSame(self::labels([]), self::labels(self::labels([])), 'as they are');
    }

    public function testItIsSaidWhetherAnyWouldDiffer(): void
    {
        $fresh = ['a' => 'W1', 'b' => 'W2'];
        self::assertFalse(Labels::differ($fresh, []));
        self::assertFalse(Labels::differ($fresh, ['a' => 'W1', 'gone' => 'W9']));
        self::assertTrue(Labels::differ($fresh, ['a' => 'W3']));
        self::assertTrue(Labels::differ($fresh, ['gone' => 'W2']), 'two things would be W2');
    }

    /**
     * @param  array<string, string>  $printed
     * @return array<string, string> by part
     */
    private static function labels(array $printed): array
    {
        $kit = Kit::derive(BuildingReader::fromText(Kits::exampleText('weigh-office')), new Recall, $printed);
        $ids = array_map(static fn (LabelledPart $p): string => $p->part->id, $kit->parts);

        return array_combine($ids, array_column($kit->parts, 'label'));
    }
}
