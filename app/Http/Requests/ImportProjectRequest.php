<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use LogicException;

/** A project archive. */
final class ImportProjectRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'archive' => ['required', 'file', 'max:65536'],
        ];
    }

    /** @return string the path of what was sent */
    public function path(): string
    {
        $file = $this->file('archive');

        return $file instanceof UploadedFile ? $file->getPathname() : throw new LogicException('A file was validated and is not there');
    }
}
