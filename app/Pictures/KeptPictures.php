<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Models\Building;
use App\Models\Picture;
use App\Models\Project;
use Chartula\Core\Building\Building as Described;
use Chartula\Core\Drawing\MissingPictures;
use Chartula\Core\Drawing\Pictures;
use Chartula\Core\Kit\Kit;
use Chartula\Core\Problem\InvalidInput;
use Chartula\Core\Problem\Problem;
use Chartula\Core\Skin\PaperUse;

/** The pictures of whoever a building belongs to. */
final class KeptPictures implements Pictures
{
    /** @var array<string, ?string> */
    private array $read = [];

    /**
     * @param  'jpeg'|'small'  $how  as large as they are, or as a screen shows them
     * @param  bool  $isKept  whether what was read is asked for again
     */
    private function __construct(private readonly int $user, private readonly string $how, private readonly bool $isKept = true)
    {
    }

    public static function fine(Building $building): self
    {
        return new self($building->project->user_id, 'jpeg');
    }

    /** As large as they are, each read when it is asked for and then let go. */
    public static function of(Project $project): self
    {
        return new self($project->user_id, 'jpeg', false);
    }

    public static function small(Building $building): self
    {
        return new self($building->project->user_id, 'small');
    }

    public function jpeg(string $sha256): ?string
    {
        if (array_key_exists($sha256, $this->read)) {
            return $this->read[$sha256];
        }
        $kept = Picture::query()->where('user_id', $this->user)->where('sha256', $sha256)->value($this->how);
        $bytes = is_string($kept) ? base64_decode($kept, true) : false;
        $jpeg = $bytes === false ? null : $bytes;
        $this->read += $this->isKept ? [$sha256 => $jpeg] : [];

        return $jpeg;
    }

    /**
     * Which of those that a text may name are there: what is drawn hangs on that too.
     *
     * @return list<string>
     */
    public static function named(Building $building, string $text): array
    {
        if (! str_contains($text, '"papers"')) {
            return [];
        }
        preg_match_all('/"sha256"\s*:\s*"([0-9a-f]{64})"/', $text, $found);

        /** @var list<string> */
        return Picture::query()->where('user_id', $building->project->user_id)->whereIn('sha256', $found[1])->orderBy('sha256')
            ->pluck('sha256')->all();
    }

    /** @return list<Problem> of what would be printed in one colour because its picture is not there */
    public function missing(Described $building, Kit $kit): array
    {
        return array_map(
            static fn (PaperUse $u): Problem => new Problem(
                $u->paper->path, 'picture.missing', ['given' => $u->paper->name, 'on' => $u->words],
            ),
            MissingPictures::of($building, $kit->form, $this),
        );
    }

    /** @throws InvalidInput where there is such a thing */
    public function demand(Described $building, Kit $kit): void
    {
        $missing = $this->missing($building, $kit);
        if ($missing !== []) {
            throw new InvalidInput($missing);
        }
    }
}
