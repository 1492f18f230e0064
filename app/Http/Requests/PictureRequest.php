<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Pictures\KeepPicture;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use LogicException;

/** A picture of somebody's own paper. */
final class PictureRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'picture' => ['required', 'file', 'max:'.intdiv(KeepPicture::MOST_BYTES, 1024)],
        ];
    }

    public function bytes(): string
    {
        $file = $this->file('picture');

        return $file instanceof UploadedFile ? (string) $file->get() : throw new LogicException('A file was validated and is not there');
    }
}
