<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Contracts\View\View;

/** The one page on which all screens run. */
final class ScreenController
{
    public function __invoke(): View
    {
        return view('screens');
    }
}
