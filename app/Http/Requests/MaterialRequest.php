<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Chartula\Core\Measure\World;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A size on the bench, or a real one. */
final class MaterialRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'text' => ['required', 'string', 'max:100'],
            'world' => ['required', Rule::enum(World::class)],
        ];
    }

    public function text(): string
    {
        return $this->string('text')->value();
    }

    public function world(): World
    {
        return $this->enum('world', World::class) ?? World::Model;
    }
}
