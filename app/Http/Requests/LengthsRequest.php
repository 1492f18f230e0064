<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Chartula\Core\Measure\World;
use Illuminate\Foundation\Http\FormRequest;

/** Lengths as they are typed, to be read in both worlds. */
final class LengthsRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'scale' => ['required', 'string', 'max:60'],
            'gauge' => ['sometimes', 'array:brick,course'],
            'gauge.*' => ['string', 'max:60'],
            'lengths' => ['required', 'array', 'list', 'min:1', 'max:200'],
            'lengths.*.text' => ['present', 'string', 'max:100'],
            'lengths.*.world' => ['sometimes', 'in:real,model'],
        ];
    }

    public function scale(): string
    {
        return $this->string('scale')->value();
    }

    /** @return array{brick?: string, course?: string} */
    public function gauge(): array
    {
        $gauge = [];
        foreach (['brick', 'course'] as $key) {
            if ($this->has("gauge.$key")) {
                $gauge[$key] = $this->string("gauge.$key")->value();
            }
        }

        return $gauge;
    }

    /** @return list<array{text: string, world: World}> */
    public function lengths(): array
    {
        $lengths = [];
        foreach (array_keys((array) $this->input('lengths')) as $i) {
            $lengths[] = [
                'text' => $this->string("lengths.$i.text")->value(),
                'world' => $this->enum("lengths.$i.world", World::class) ?? World::Real,
            ];
        }

        return $lengths;
    }
}
