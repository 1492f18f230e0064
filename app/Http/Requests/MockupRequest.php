<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\WholeNumber;
use Illuminate\Foundation\Http\FormRequest;

/** How large a mock-up is, in hundredths of the model. */
final class MockupRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'size' => ['sometimes', WholeNumber::inQuery(10, 100)],
        ];
    }

    public function percent(): int
    {
        return $this->integer('size', 100);
    }
}
