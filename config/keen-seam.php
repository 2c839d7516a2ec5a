<?php

declare(strict_types=1);

return [
    // Names under which the application is served, beside this machine's own: KEEN_SEAM_HOSTS="sewing-room.local,hall.lan".
    'hosts' => array_values(array_filter(array_map(trim(...), explode(',', (string) env('KEEN_SEAM_HOSTS', ''))))),
];
