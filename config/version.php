<?php

declare(strict_types=1);

// The tag of a release is `v` and this number (CHANGELOG.md).
return ['number' => '1.0.0'];
