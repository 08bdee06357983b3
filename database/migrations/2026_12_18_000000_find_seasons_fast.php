<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The report asks for the first and the last season that anything was planned for. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('visit_tasks', static fn (Blueprint $table) => $table->index('season'));
    }

    public function down(): void
    {
        Schema::table('visit_tasks', static fn (Blueprint $table) => $table->dropIndex(['season']));
    }
};
