<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

final readonly class Fabric
{
    /** @param string $color as the block file writes it: "#fff" or "#3b5b7a" */
    public function __construct(
        public string $key,
        public string $name,
        public string $color,
        public FabricValue $value,
    ) {}
}
