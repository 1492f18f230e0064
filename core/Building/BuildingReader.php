<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Building\Compression\CompressionReader;
use Chartula\Core\Building\Feature\Kinds;
use Chartula\Core\Building\Site\PlotReader;
use Chartula\Core\Field\Node;
use Chartula\Core\Field\Sign;
use Chartula\Core\Field\Values;
use Chartula\Core\Measure\Gauge;
use Chartula\Core\Measure\Scale;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problems;
use Chartula\Core\Stock\BuiltInStock;
use Chartula\Core\Stock\Stock;
use Chartula\Core\Stock\Texture;
use LogicException;
use stdClass;

/** Reads a building document (docs/formats.md): every fault by its path, or an immutable Building. */
final readonly class BuildingReader
{
    public const FORMAT = 'chartula.building';

    private const MOST_STOCKS = 100;

    private const MOST_LEFT = 1_000;

    /** @throws InvalidInput with every fault of the text and of the document */
    public static function fromText(string $text, ?Kinds $kinds = null): Building
    {
        return self::fromDocument(JsonText::decode($text), $kinds);
    }

    /** @throws InvalidInput with every fault of the document */
    public static function fromDocument(stdClass $document, ?Kinds $kinds = null): Building
    {
        $reading = self::reading($document, $kinds);
        if ($reading->faults !== []) {
            throw new InvalidInput($reading->faults);
        }

        return $reading->building ?? throw new LogicException('A document without faults gave no building');
    }

    /**
     * Reads what can be read, whatever is wrong with the rest.
     *
     * @param  ?Kinds  $kinds  of things that there are; all that the program knows where nothing is said
     */
    public static function reading(stdClass $document, ?Kinds $kinds = null): Reading
    {
        $problems = new Problems;
        $building = self::read(new Node($document, '', $problems), $problems, $kinds ?? Kinds::known());

        return new Reading($building, $problems->all());
    }

    private static function read(Node $root, Problems $problems, Kinds $kinds): ?Building
    {
        $root->isObject(['format', 'version', 'name', 'scale', 'methods', 'blocks'],
            ['note', 'gauge', 'stock', 'plot', 'relief', 'perspective', 'styles', 'features', 'compression', 'sheets', 'leave',
                'papers', 'palettes']);
        self::expect($root->get('format'), self::FORMAT);
        self::expect($root->get('version'), 1);
        $name = $root->get('name')?->text(200);
        if ($name === '') {
            $root->get('name')?->fault('text-empty');
        }
        $note = $root->get('note')?->text(10_000);
        [$scale, $gauge] = self::measures($root, $problems);
        $values = new Values($problems, $scale, $gauge);

        $papers = (new OwnPaperReader($values))->readAll($root->get('papers'));
        $palettes = (new OwnPaletteReader($values))->readAll($root->get('palettes'));
        $values = $values->withNamed(['papers' => array_keys($papers), 'palettes' => array_keys($palettes)]);
        $stocks = self::stocks($root->get('stock'), $values);
        $plot = PlotReader::read($root->get('plot'), $values);
        $relief = ReliefReader::read($root->get('relief'), $values);
        $perspective = PerspectiveReader::read($root->get('perspective'), $values);
        $methods = (new MethodsReader($values, $stocks))->read($root->get('methods'));
        $styles = (new StyleReader($values, $kinds))->readAll($root->get('styles'));
        $blocks = (
            new BlockReader(
                $values,
                $styles,
                array_keys($methods->stacks ?? ['wall' => 1, 'roof' => 1]),
                new StandIns(new Values(new Problems, $scale, $gauge)),
                $kinds,
            )
        )->readAll($root->get('blocks'));
        $sheets = (new PrintSettingsReader($values))->read($root->get('sheets'));
        $compression = CompressionReader::read($root->get('compression'), $values);
        if ($blocks === []) {
            return null;
        }
        $standIns = new StandIns(new Values(new Problems, $scale, $gauge));

        return new Building(
            $name ?? '',
            $note,
            $scale,
            $gauge,
            $methods ?? $standIns->methods(),
            $styles,
            $blocks,
            $sheets ?? $standIns->sheets(),
            $plot,
            $relief,
            $perspective,
            $compression,
            leave: self::left($root->get('leave')),
            papers: $papers,
            palettes: $palettes,
            features: (new FeatureReader($values, $kinds))->onThePlot($root->get('features'), $plot),
        );
    }

    /**
     * The scale and the gauge of a document that may have faults; usual ones where they cannot be read.
     *
     * @return array{Scale, Gauge}
     */
    public static function scaleAndGauge(stdClass $document, Problems $problems): array
    {
        return self::measures(new Node($document, '', $problems), $problems);
    }

    /**
     * Lengths need both; where one is wrong, the rest is still read at a usual one, so that all faults show.
     *
     * @return array{Scale, Gauge}
     */
    private static function measures(Node $root, Problems $problems): array
    {
        $scale = self::scale($root->get('scale'), $problems) ?? Scale::of(76.2);

        return [$scale, self::gauge($root->get('gauge'), $scale, $problems)];
    }

    private static function expect(?Node $node, string|int $value): void
    {
        if ($node !== null && $node->value !== $value) {
            $node->fault(
                'wrong-value',
                ['given' => is_scalar($node->value) ? (string) $node->value : Node::typeOf($node->value), 'wanted' => $value],
            );
        }
    }

    private static function scale(?Node $node, Problems $problems): ?Scale
    {
        $text = $node?->text(60);
        if ($node === null || $text === null) {
            return null;
        }
        try {
            return Scale::parse($text, $node->path);
        } catch (InvalidInput $e) {
            $problems->add($node->path, $e->problems[0]->code, $e->problems[0]->facts);

            return null;
        }
    }

    private static function gauge(?Node $node, Scale $scale, Problems $problems): Gauge
    {
        $default = Gauge::imperial();
        if ($node === null || ! $node->isObject([], ['brick', 'course', 'joint'])) {
            return $default;
        }
        $values = new Values($problems, $scale, $default);
        $gauge = new Gauge(
            $values->real($node->get('brick'))->mm ?? $default->brick_mm,
            $values->real($node->get('course'))->mm ?? $default->course_mm,
            $values->real($node->get('joint'), Sign::ZeroOrMore)->mm ?? $default->joint_mm,
        );
        if ($gauge->joint_mm >= min($gauge->course_mm, $gauge->brick_mm / 2.0)) {
            ($node->get('joint') ?? $node)->fault(
                'number-out-of-range',
                ['given' => $gauge->joint_mm, 'wanted' => 'less than a course and than half a brick'],
            );

            return $default;
        }

        return $gauge;
    }

    /** @return array<string, Stock> */
    private static function stocks(?Node $node, Values $values): array
    {
        $stocks = BuiltInStock::all();
        foreach ($node?->entries(self::MOST_STOCKS) ?? [] as [$id, $entry]) {
            if (preg_match('/^[a-z0-9.-]{1,32}$/D', $id) !== 1) {
                $entry->fault('id-shape', ['given' => mb_substr($id, 0, 40)]);
            }
            if (! $entry->isObject(['kind', 'thickness'], ['name', 'sheet', 'price', 'texture'])) {
                continue;
            }
            $kind = $entry->get('kind')?->choice(Stock::KINDS);
            $thickness = $values->model($entry->get('thickness'));
            $sheet = BuiltInStock::SHEET_MM;
            if ($entry->get('sheet') !== null) {
                $sides = array_map(static fn (Node $side): ?float => $values->model($side)?->mm, $entry->get('sheet')->items(2, 2));
                $sheet = [$sides[0] ?? $sheet[0], $sides[1] ?? $sheet[1]];
            }
            $name = $entry->get('name')?->text(Stock::LONGEST_NAME);
            $price = self::price($entry->get('price'));
            $texture = self::texture($entry->get('texture'), $values);
            if ($kind !== null && $thickness !== null) {
                $stocks[$id] = new Stock($id, $kind, $thickness->mm, $sheet, $price, true, $name === '' ? null : $name, $texture);
            }
        }

        return $stocks;
    }

    private static function texture(?Node $node, Values $values): ?Texture
    {
        if ($node === null || ! $node->isObject(['of', 'pitch'], ['lines'])) {
            return null;
        }
        $of = $node->get('of')?->choice(array_keys(Texture::KINDS));
        $pitch = $values->model($node->get('pitch'));
        $lines = $node->get('lines')?->choice(['across', 'up']);
        if ($pitch !== null && $pitch->mm < Texture::LEAST_MM) {
            $node->get('pitch')?->fault('length.too-short', ['given' => "{$pitch->mm} mm", 'least' => Texture::LEAST_MM.' mm']);

            return null;
        }

        return $of === null || $pitch === null ? null : new Texture($of, $pitch->mm, $lines === 'up');
    }

    /** @return array<string, list<string>> places by the code of the remark that stays as it is there */
    private static function left(?Node $node): array
    {
        $left = [];
        foreach ($node?->entries(self::MOST_STOCKS) ?? [] as [$code, $entry]) {
            $places = array_map(static fn (Node $at): ?string => $at->text(200), $entry->items(self::MOST_LEFT));
            $left[$code] = array_values(array_filter($places, static fn (?string $at): bool => $at !== null));
        }

        return $left;
    }

    /** Money stays a decimal text. */
    private static function price(?Node $node): ?string
    {
        $text = $node?->text(20);
        if ($node !== null && $text !== null && preg_match('/^\d{1,7}(\.\d{1,4})?$/D', $text) !== 1) {
            $node->fault('wrong-type', ['given' => Node::typeOf($text), 'wanted' => 'an amount such as “0.35”']);
        }

        return $text;
    }
}
