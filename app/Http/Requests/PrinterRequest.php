<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Devices\SimulatedPrinter;
use Illuminate\Foundation\Http\FormRequest;

/** How the simulated printer errs. */
final class PrinterRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'across' => ['sometimes', 'numeric', 'between:95,105'],
            'along' => ['sometimes', 'numeric', 'between:95,105'],
            'margin' => ['sometimes', 'numeric', 'between:0,50'],
        ];
    }

    /** @param  int  $dotsPerInch  of the picture */
    public function printer(int $dotsPerInch): SimulatedPrinter
    {
        return new SimulatedPrinter($this->float('across', 100.0), $this->float('along', 100.0), $this->float('margin', 4.0), $dotsPerInch);
    }
}
