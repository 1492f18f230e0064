<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Field\Node;
use Chartula\Core\Field\Sign;
use Chartula\Core\Field\Values;

/** Reads `sheets`. docs/formats.md */
final readonly class PrintSettingsReader
{
    private const MOST_CORRECTIONS = 500;

    public function __construct(private Values $values)
    {
    }

    /** Null where a key is wrong. */
    public function read(?Node $node): ?PrintSettings
    {
        $keys = ['paper', 'width', 'height', 'landscape', 'margin', 'gap', 'proof', 'order', 'spares', 'corrections'];
        if ($node !== null && ! $node->isObject([], $keys)) {
            return null;
        }
        $paper = $node?->get('paper') === null ? 'a4' : $node->get('paper')->choice(PrintSettings::PAPERS) ?? 'a4';
        $size = $this->size($node, $paper);
        $margin = $this->values->model($node?->get('margin'), Sign::ZeroOrMore)->mm ?? 8.0;
        $gap = $this->values->model($node?->get('gap'), Sign::ZeroOrMore)->mm ?? 2.0;
        $proof = $node?->get('proof');
        $proof?->isObject([], ['x', 'y']);

        $order = $node?->get('order')?->choice(PrintSettings::ORDERS) ?? 'stock';
        $proofs = [$this->proof($proof?->get('x')), $this->proof($proof?->get('y'))];
        $hasSpares = $node?->get('spares')?->bool() ?? false;
        $corrections = $this->corrections($node?->get('corrections'));
        $settings = new PrintSettings($paper, $size, $margin, $gap, $proofs[0], $proofs[1], $order, $hasSpares, $corrections);
        if ($margin > 60.0) {
            $node?->get('margin')?->fault('sheet.no-room', ['margin' => $margin, 'paper' => $settings->words()]);
        }

        return $settings;
    }

    /** @return array{float, float} */
    private function size(?Node $node, string $paper): array
    {
        [$width, $height] = PrintSettings::PAPERS_MM[$paper] ?? [$this->own($node, 'width'), $this->own($node, 'height')];
        $isWide = $node?->get('landscape')?->bool() ?? false;

        return $isWide && $paper !== 'own' && $width < $height ? [$height, $width] : [$width, $height];
    }

    /** A side of a page of one's own. */
    private function own(?Node $node, string $key): float
    {
        $side = $node?->get($key);
        if ($side === null) {
            $node?->get('paper')?->fault('paper.no-size', ['side' => $key]);
        }
        $mm = $this->values->model($side)->mm ?? 210.0;
        if ($side !== null && ($mm < PrintSettings::LEAST_MM || $mm > PrintSettings::MOST_MM)) {
            $side->fault('paper.out-of-range', [
                'given' => round($mm, 1), 'least' => PrintSettings::LEAST_MM, 'most' => PrintSettings::MOST_MM,
            ]);
        }

        return $mm;
    }

    /** @return list<TemplateCorrection> those that are sound */
    private function corrections(?Node $node): array
    {
        $corrections = [];
        foreach ($node?->items(self::MOST_CORRECTIONS) ?? [] as $item) {
            if (! $item->isObject(['part', 'side', 'by', 'reason', 'date'])) {
                continue;
            }
            $part = $item->get('part')?->text(200);
            $side = $item->get('side')?->choice(TemplateCorrection::SIDES);
            $by = $this->values->model($item->get('by'), Sign::Any)?->mm;
            [$reason, $date] = AsBuiltReader::reasonAndDay($item);
            if ($by !== null && abs($by) > TemplateCorrection::MOST_MM) {
                $item->get('by')?->fault('template.far', ['given' => round($by, 2), 'most' => TemplateCorrection::MOST_MM]);
            }
            if (isset($corrections["$part $side"])) {
                $item->get('side')?->fault('template.twice');
            }
            if ($part !== null && $side !== null && $by !== null && $reason !== null && $date !== null) {
                $corrections["$part $side"] = new TemplateCorrection($part, $side, $by, $reason, $date, $item->path);
            }
        }

        return array_values($corrections);
    }

    private function proof(?Node $node): float
    {
        $mm = $this->values->model($node)?->mm;
        if ($node !== null && $mm !== null && abs($mm - 100.0) > 5.0) {
            $node->fault('proof.out-of-range', ['given' => is_string($node->value) ? $node->value : '']);
        }

        return $mm ?? 100.0;
    }
}
