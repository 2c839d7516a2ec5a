<?php

declare(strict_types=1);

namespace App\Paper;

/** What sheets are written as: to be kept and printed, or to be printed by the browser from the screen. */
enum PaperForm: string
{
    case Pdf = 'pdf';
    case Html = 'html';
}
