<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Field\Fields;
use Chartula\Core\Field\ListType;
use Chartula\Core\Field\Node;
use Chartula\Core\Field\Said;
use Chartula\Core\Field\Values;
use Chartula\Core\Measure\LengthFormat;

/** Reads `papers`: a person's own. */
final readonly class OwnPaperReader
{
    private const MOST = 50;

    /** No paper is smaller, as it was scanned. */
    public const LEAST_MM = 1.0;

    private ListType $list;

    public function __construct(private Values $values)
    {
        $this->list = new ListType(OwnPaperFields::set(), 'Paper', self::MOST);
    }

    /** @return array<string, OwnPaper> by id */
    public function readAll(?Node $node): array
    {
        $papers = [];
        foreach ($node === null ? [] : $this->list->read($node, $this->values) as $said) {
            $id = $said->text('id');
            $paper = $id === null ? null : $this->paper($id, $said);
            $papers += $paper === null ? [] : [$paper->id => $paper];
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
        [$wide, $high] = $paper->size();
        if (min($wide, $high) < self::LEAST_MM) {
            $said->at('mm_per_pixel')?->fault('paper.tiny', [
                'given' => LengthFormat::trimmed($wide, 3).' by '.LengthFormat::trimmed($high, 3), 'least' => self::LEAST_MM,
            ]);
        }
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
