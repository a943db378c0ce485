<?php

declare(strict_types=1);

return [
    'and' => '{first} and {last}',
    'or' => '{first} or {last}',
];
