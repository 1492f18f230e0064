<?php

declare(strict_types=1);

namespace App\Models;

use Chartula\Core\Kit\Compare\PrintedPlace;
use Chartula\Core\Kit\DryFit\KitShape;
use Illuminate\Database\Eloquent\Model;

/**
 * A piece of card or paper that has been made, and the part as it was when it was.
 *
 * @property int $id
 * @property string $building_id
 * @property string $part
 * @property int $copy
 * @property 'printed'|'cut'|'papered'|'fixed' $state  how far it is made
 * @property ?string $print_id
 * @property array<string, mixed> $record
 * @property ?int $revision  of which it was made, where that is known
 * @property ?array{string, string} $kept  the cut and the print in place of which it is kept as it is
 */
final class Piece extends Model
{
    protected $fillable = ['building_id', 'part', 'copy', 'state', 'print_id', 'record', 'revision', 'kept'];

    /** @param  array<string, array{string, string, int, string}>  $parts  cut, print, number and label by part */
    public function isGood(array $parts): bool
    {
        [$cut, $print, $qty] = $parts[$this->part] ?? ['', '', 0, ''];
        if ($this->kept === [$cut, $print]) {
            return true;
        }

        return $this->record['cut'] === $cut && $this->record['print'] === $print && $this->copy < $qty;
    }

    /** Where it lies on a printed sheet; null where that is not known. */
    public function place(): ?PrintedPlace
    {
        $place = $this->record['place'] ?? null;

        return is_array($place) ? PrintedPlace::read(new KitShape($place)) : null;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['record' => 'array', 'copy' => 'integer', 'revision' => 'integer', 'kept' => 'array'];
    }
}
