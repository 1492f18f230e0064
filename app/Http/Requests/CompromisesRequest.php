<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Chartula\Core\Fit\Compromise\Targets;
use Chartula\Core\Fit\Compromise\Wishes;
use Illuminate\Foundation\Http\FormRequest;

/** The finished size that a building is to be brought to, and the only wall that may give. */
final class CompromisesRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'wall' => ['sometimes', 'string', 'max:80'],
            'alike' => ['sometimes', 'in:1'],
            'bricks' => ['sometimes', 'in:1'],
            ...array_fill_keys(Targets::DIRECTIONS, ['sometimes', 'string', 'max:60']),
        ];
    }

    public function wishes(): Wishes
    {
        return new Wishes(
            $this->has('wall') ? $this->string('wall')->value() : null,
            $this->has('alike'),
            $this->has('bricks'),
        );
    }

    /** @param  value-of<Targets::DIRECTIONS>  $direction */
    public function towards(string $direction): ?string
    {
        return $this->has($direction) ? $this->string($direction)->value() : null;
    }
}
