#!/usr/bin/env php
<?php

// Writes demo/seedeye.json, wren.json, rook.json and plover.json anew: php demo/make-data.php
// All of it is made up. The seeds are fixed, so that the same story comes out every time.
declare(strict_types=1);

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/Story.php';
require __DIR__.'/seedeye.php';
require __DIR__.'/wren.php';
require __DIR__.'/rook.php';
require __DIR__.'/plover.php';

seedeye()->write(__DIR__.'/seedeye.json');
wren()->write(__DIR__.'/wren.json');
rook()->write(__DIR__.'/rook.json');
plover()->write(__DIR__.'/plover.json');
