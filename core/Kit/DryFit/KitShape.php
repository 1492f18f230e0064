<?php

declare(strict_types=1);

namespace Chartula\Core\Kit\DryFit;

use Chartula\Core\Geometry\Frame;
use Chartula\Core\Geometry\Ring;
use Chartula\Core\Geometry\Vec2;
use Chartula\Core\Geometry\Vec3;
use UnexpectedValueException;

/** Reads the values of a serialised kit; what has another shape is refused with its key. */
final readonly class KitShape
{
    /** @param  array<array-key, mixed>  $values */
    public function __construct(public array $values)
    {
    }

    public function has(string $key): bool
    {
        return isset($this->values[$key]);
    }

    public function text(string $key): string
    {
        $value = $this->values[$key] ?? null;

        return is_string($value) ? $value : throw $this->wrong($key, 'a text');
    }

    public function textOrNull(string $key): ?string
    {
        return isset($this->values[$key]) ? $this->text($key) : null;
    }

    public function number(string $key): float
    {
        $value = $this->values[$key] ?? null;

        return is_int($value) || is_float($value) ? (float) $value : throw $this->wrong($key, 'a number');
    }

    public function whole(string $key): int
    {
        $value = $this->values[$key] ?? null;

        return is_int($value) ? $value : throw $this->wrong($key, 'a whole number');
    }

    public function child(string $key): self
    {
        $value = $this->values[$key] ?? null;

        return is_array($value) ? new self($value) : throw $this->wrong($key, 'an object');
    }

    /** @return list<self> */
    public function children(string $key): array
    {
        $children = [];
        foreach ($this->child($key)->values as $value) {
            $children[] = is_array($value) ? new self($value) : throw $this->wrong($key, 'a list of objects');
        }

        return $children;
    }

    public function vec2(string $key): Vec2
    {
        return $this->child($key)->asVec2();
    }

    public function vec3(string $key): Vec3
    {
        return $this->child($key)->asVec3();
    }

    /** @return list<Vec3> */
    public function points3(string $key): array
    {
        return array_map(static fn (self $p): Vec3 => $p->asVec3(), $this->children($key));
    }

    public function ring(string $key): Ring
    {
        return $this->child($key)->asRing();
    }

    /** @return list<Ring> */
    public function rings(string $key): array
    {
        return array_map(static fn (self $r): Ring => $r->asRing(), $this->children($key));
    }

    public function frame(): Frame
    {
        return new Frame($this->vec3('origin'), $this->vec3('x'), $this->vec3('y'));
    }

    public function asVec2(): Vec2
    {
        return new Vec2($this->number('0'), $this->number('1'));
    }

    private function asVec3(): Vec3
    {
        return new Vec3($this->number('0'), $this->number('1'), $this->number('2'));
    }

    private function asRing(): Ring
    {
        $points = [];
        foreach (array_keys($this->values) as $key) {
            $points[] = $this->vec2((string) $key);
        }

        return $points === [] ? throw $this->wrong('outline', 'a ring of points') : new Ring($points);
    }

    private function wrong(string $key, string $wanted): UnexpectedValueException
    {
        return new UnexpectedValueException("The kit's “{$key}” is not $wanted");
    }
}
