<?php

declare(strict_types=1);

namespace App\Paper;

use App\House\House;
use Illuminate\Http\Request;
use KeenSeam\Core\Drawing\Paper;
use KeenSeam\Core\Drawing\Sheets\SheetKind;

/** Which sheets of a thing are asked for, on which paper, and in which form. */
final readonly class PaperAsked
{
    /** @param non-empty-list<SheetKind> $kinds in the order of the work */
    public function __construct(
        public array $kinds,
        public Paper $paper,
        public PaperForm $form,
    ) {}

    /** All sheets on the house's paper, where nothing else is said. */
    public static function in(Request $request): self
    {
        $asked = explode(',', (string) $request->query('sheets', ''));
        $kinds = array_values(array_filter(SheetKind::cases(), static fn (SheetKind $kind): bool => in_array($kind->value, $asked, true)));

        return new self($kinds === [] ? SheetKind::usual() : $kinds, House::now()->paper, PaperForm::tryFrom((string) $request->query('as')) ?? PaperForm::Pdf);
    }
}
