<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Changes\Change;
use App\Changes\DocumentAsked;
use App\Changes\EditsAsked;
use App\Changes\RedoAsked;
use App\Changes\RestoreAsked;
use App\Changes\UndoAsked;
use App\Rules\WholeNumber;
use Illuminate\Foundation\Http\FormRequest;
use stdClass;

/** A change to a building, made on a revision of it: exactly one of the five kinds. */
class ChangeRequest extends FormRequest
{
    private const KINDS = ['edits', 'document', 'restore', 'undo', 'redo'];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'base' => ['required', WholeNumber::inBody()],
            'edits' => ['required_without_all:document,restore,undo,redo', self::alone('edits'), 'array', 'list', 'max:200'],
            'document' => ['sometimes', self::alone('document'), 'string'],
            'restore' => ['sometimes', self::alone('restore'), WholeNumber::inBody()],
            'undo' => ['sometimes', self::alone('undo'), 'accepted'],
            'redo' => ['sometimes', self::alone('redo'), 'accepted'],
        ];
    }

    public function base(): int
    {
        return $this->integer('base');
    }

    public function change(): Change
    {
        return match (true) {
            $this->has('undo') => new UndoAsked,
            $this->has('redo') => new RedoAsked,
            $this->has('restore') => new RestoreAsked($this->integer('restore')),
            $this->has('document') => new DocumentAsked($this->string('document')->value()),
            default => new EditsAsked($this->edits()),
        };
    }

    /** @return list<mixed> as they were sent: read out of the body itself, so that an empty object stays one */
    private function edits(): array
    {
        $body = json_decode($this->getContent());
        $edits = $body instanceof stdClass && is_array($body->edits ?? null) ? $body->edits : $this->input('edits');

        return array_values((array) $edits);
    }

    /** @param  value-of<self::KINDS>  $kind */
    private static function alone(string $kind): string
    {
        return 'prohibits:'.implode(',', array_diff(self::KINDS, [$kind]));
    }
}
