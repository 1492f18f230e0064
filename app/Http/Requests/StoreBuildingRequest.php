<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A new building from its name, or from a document that is imported. */
final class StoreBuildingRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'client_id' => ['required', 'uuid'],
            'name' => ['required_without:document', 'string', 'min:1', 'max:200'],
            'document' => ['sometimes', 'string'],
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

    public function name(): ?string
    {
        return $this->has('name') ? $this->string('name')->value() : null;
    }
}
