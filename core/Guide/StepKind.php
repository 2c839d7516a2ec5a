<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

enum StepKind: string
{
    case Join = 'join';
    case Press = 'press';
    case LayOut = 'lay-out';
}
