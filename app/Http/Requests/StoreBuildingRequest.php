<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Chartula\Core\Building\StarterShape;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A new building from its name and the shape it begins with, or from a document that is imported. */
final class StoreBuildingRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'client_id' => ['required', 'uuid'],
            'name' => ['required_without:document', 'string', 'min:1', 'max:200'],
            'document' => ['sometimes', 'string'],
            'shape' => ['sometimes', Rule::enum(StarterShape::class)],
        ];
    }

    public function clientId(): string
    {
        return $this->string('client_id')->value();
    }

    public function document(): ?string
    {
        return $this->has('document') ? $this->string('document')->value() : null;
    }

    public function shape(): StarterShape
    {
        return $this->enum('shape', StarterShape::class) ?? StarterShape::Single;
    }

    public function name(): ?string
    {
        return $this->has('name') ? $this->string('name')->value() : null;
    }
}
