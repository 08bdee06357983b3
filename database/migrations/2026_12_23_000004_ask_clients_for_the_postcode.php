<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('gardens', static fn (Blueprint $table) => $table->string('postcode', 12)->nullable());
    }

    public function down(): void
    {
        Schema::table('gardens', static fn (Blueprint $table) => $table->dropColumn('postcode'));
    }
};
