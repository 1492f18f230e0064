<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Field\Fields;
use Chartula\Core\Field\FieldSet;
use Chartula\Core\Field\Node;
use Chartula\Core\Field\Said;
use Chartula\Core\Field\Values;
use Chartula\Core\Measure\LengthFormat;

/** Reads `papers`: a person's own. */
final readonly class OwnPaperReader
{
    private const MOST = 50;

    private FieldSet $fields;

    public function __construct(private Values $values)
    {
        $this->fields = OwnPaperFields::set();
    }

    /** @return array<string, OwnPaper> by id */
    public function readAll(?Node $node): array
    {
        $papers = [];
        foreach ($node?->items(self::MOST) ?? [] as $item) {
            $said = $this->fields->read($item, $this->values);
            $id = $said?->text('id');
            if ($said === null || $id === null) {
                continue;
            }
            if (isset($papers[$id])) {
                $said->at('id')?->fault('id-twice', ['given' => $id]);
            }
            $paper = $this->paper($id, $said);
            $papers += $paper === null ? [] : [$id => $paper];
        }

        return $papers;
    }

    private function paper(string $id, Fields $said): ?OwnPaper
    {
        [$pixels, $size] = [$said->counts('pixels'), $said->numbers('mm_per_pixel')];
        $sha256 = $said->text('sha256');
        if ($sha256 === null || count($pixels) !== 2 || count($size) !== 2) {
            return null;
        }
        $paper = new OwnPaper(
            $id, $said->text('name') ?? '', $sha256, [$pixels[0], $pixels[1]], [$size[0], $size[1]], $said->text('lies') !== 'whole',
            self::pitch($said, 'along', 'units'), self::pitch($said, 'up', 'courses'), $said->model('foot')->mm ?? 0.0,
            $said->text('tone') ?? '#8a7a6a', trim($said->text('licence') ?? ''), $said->node->path,
        );
        $high = $paper->size()[1];
        if ($paper->foot_mm >= $high) {
            $said->at('foot')?->fault('paper.foot', [
                'given' => LengthFormat::millimetres($paper->foot_mm), 'height' => LengthFormat::millimetres($high),
            ]);
        }

        return $paper;
    }

    private static function pitch(Said $said, string $length, string $count): ?float
    {
        $mm = $said->model($length)?->mm;

        return $mm === null ? null : $mm / max(1, $said->count($count) ?? 1);
    }
}
