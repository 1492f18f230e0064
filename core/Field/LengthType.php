<?php

declare(strict_types=1);

namespace Chartula\Core\Field;

use Chartula\Core\Measure\World;

/** A length of one of the two worlds: a RealLength or a ModelLength. */
final readonly class LengthType implements FieldType
{
    private function __construct(private World $world, private Sign $sign)
    {
    }

    public static function real(Sign $sign = Sign::AboveZero): self
    {
        return new self(World::Real, $sign);
    }

    public static function model(Sign $sign = Sign::AboveZero): self
    {
        return new self(World::Model, $sign);
    }

    public function read(Node $node, Values $values): mixed
    {
        return $this->world === World::Real ? $values->real($node, $this->sign) : $values->model($node, $this->sign);
    }

    public function schema(): array
    {
        return ['$ref' => '#/$defs/length'];
    }

    public function form(): array
    {
        return ['what' => 'length', 'world' => $this->world->value];
    }

    public function words(): string
    {
        $of = $this->world === World::Real ? 'a real length' : 'a length on the model';

        return $of.match ($this->sign) {
            Sign::AboveZero => '',
            Sign::ZeroOrMore => ' or 0',
            Sign::Any => ', to either side',
        };
    }
}
