<?php

declare(strict_types=1);

namespace Chartula\Core\Building;

use Chartula\Core\Field\Node;
use Chartula\Core\Field\Sign;
use Chartula\Core\Field\Values;
use Chartula\Core\Measure\RealLength;
use Chartula\Core\Problem\Problems;
use Chartula\Core\Stock\BuiltInStock;
use LogicException;
use stdClass;

/**
 * What is drawn where a document says something that is no use: the same figures that a new building begins with. Each is read like any
 * other, and its faults are nobody's.
 */
final readonly class StandIns
{
    public function __construct(private Values $values)
    {
    }

    public function methods(): Methods
    {
        $methods = Starter::document('-')->methods;

        return (new MethodsReader($this->values, BuiltInStock::all()))->read(self::node($methods)) ?? throw self::broken();
    }

    public function roof(Footprint $footprint): Roof
    {
        return (new RoofReader($this->values))->read(self::node((object) ['kind' => 'none']), $footprint) ?? throw self::broken();
    }

    public function sheets(): PrintSettings
    {
        return (new PrintSettingsReader($this->values))->read(self::node(new stdClass)) ?? throw self::broken();
    }

    /** An outline that cannot be built, as it is described. */
    public function footprint(?Node $node): ?Footprint
    {
        $corners = [];
        $polygon = $node?->get('polygon')?->value;
        foreach (is_array($polygon) ? array_slice($polygon, 0, FootprintReader::MOST_CORNERS) : [] as $pair) {
            $pair = is_array($pair) ? array_values($pair) : [];
            $sides = [$pair[0] ?? null, $pair[1] ?? null];
            [$x, $y] = array_map(fn (mixed $side): ?RealLength => $this->values->real(self::node($side), Sign::Any), $sides);
            array_push($corners, ...$x === null || $y === null ? [] : [[$x, $y]]);
        }
        if (count($corners) < 3) {
            return null;
        }
        $names = FootprintReader::namesOf($node);

        return Footprint::polygon($corners, array_map(static fn (int $i): string => $names[$i] ?? "edge-$i", array_keys($corners)));
    }

    private static function node(mixed $value): Node
    {
        return new Node($value, '', new Problems);
    }

    private static function broken(): LogicException
    {
        return new LogicException('What stands in for a fault has one itself');
    }
}
